<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOptions;
use App\Actions\Imports\UndoImport;
use App\Models\DomainFigure;
use App\Models\Import;
use App\Models\Study;
use GreaterReach\Core\Intake\ImportKind;
use Tests\TestCase;

/** Several sources of authority side by side: which one counts, and that none is overwritten. */
final class AuthorityPrecedenceTest extends TestCase
{
    private function pull(Study $study, string $csv, string $day): void
    {
        $path = $this->makeFile($csv);
        app(ImportFile::class)->execute(
            new ImportOptions($study->load('domains'), ImportKind::Domains, $path, 'figures', $day, origin: DomainFigure::PULLS),
        );
    }

    /** @return array{?float, ?int} */
    private function figures(Study $study): array
    {
        $domain = $study->load('domains')->domains->firstOrFail();

        return [$domain->authority, $domain->referring_domains];
    }

    private function twoSources(): Study
    {
        $study = $this->makeStudy();
        $this->import($study, "domain,authority,referring domains\nquillfair.example,53,400\n", 'domains', ['--date' => '2026-10-01']);
        $this->pull($study, "domain,authority\nquillfair.example,47\n", '2026-11-01');

        return $study;
    }

    public function test_the_newest_wins_and_a_known_figure_beats_an_unknown_one(): void
    {
        $study = $this->twoSources();
        self::assertSame([47.0, 400], $this->figures($study));
        $this->import($study, "domain,authority\nquillfair.example,20\n", 'domains', ['--date' => '2026-01-01']);
        self::assertSame([47.0, 400], $this->figures($study), 'An older list changes nothing, whenever it comes in.');
    }

    public function test_the_rulebook_orders_lists_and_pulls(): void
    {
        $study = $this->twoSources();
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['authority_sources=lists,pulls']]);
        self::assertSame([53.0, 400], $this->figures($study));
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['authority_sources=']]);
        self::assertSame([47.0, 400], $this->figures($study));
    }

    public function test_undone_a_list_leaves_what_the_others_say(): void
    {
        $study = $this->twoSources();
        app(UndoImport::class)->execute($study, Import::query()->where('study_id', $study->id)->latest('id')->firstOrFail());
        self::assertSame([53.0, 400], $this->figures($study));
        app(UndoImport::class)->execute($study, Import::query()->where('study_id', $study->id)->latest('id')->firstOrFail());
        self::assertSame([null, null], $this->figures($study));
    }

    public function test_ledger_and_dossier_show_what_each_source_says(): void
    {
        $study = $this->twoSources();
        $this->import($study, "keyword,position\npen,5\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $said = $this->getJson("/api/v1/studies/{$study->slug}/domains")
            ->assertOk()
            ->json('0.said');
        self::assertSame(
            [['pulls', '2026-11-01', 47], ['lists', '2026-10-01', 53]],
            array_map(static fn(array $one): array => [$one['kind'], $one['day'], $one['authority']], $said),
        );
        $this->getJson("/api/v1/studies/{$study->slug}/keyword?keyword=pen")
            ->assertOk()
            ->assertJsonPath('disputed_authority.0.said', $said)
            ->assertJsonCount(1, 'disputed_authority');
    }
}
