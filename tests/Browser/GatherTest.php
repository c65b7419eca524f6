<?php

declare(strict_types=1);

namespace Tests\Browser;

use Illuminate\Support\Facades\DB;

/** Gather as a person uses it: a spreadsheet, a change of mind, words of our own, another side. */
final class GatherTest extends BrowserTestCase
{
    public function test_a_spreadsheet_says_what_it_would_change_and_can_be_taken_back(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position\n1984,8\nold pen,9\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        $this->find('[data-testid="file"]')->sendKeys((string) realpath(__DIR__.'/../Fixtures/made-elsewhere/python-typed.xlsx'));
        $this->see('XLSX, sheet "Rankings": 4 rows to keep');
        $this->see('3 new, 1 changed, 1 gone');
        $this->await(
            fn(): ?bool => $this->findText('Import', 'button')->getAttribute('disabled') === null ?: null,
            'The file cannot be imported.',
        );
        $this->clickText('Import', 'button');
        $this->see('4 rankings of 4 keywords');
        $this->click('[aria-label^="Undo the import of python-typed.xlsx"]');
        $this->clickText('Remove its 4 rows', 'button');
        $this->seeNot('python-typed.xlsx,');
        $this->await(
            fn(): ?bool => DB::table('live_snapshots')->where('study_id', $study->id)->count() === 1 ?: null,
            'The import was not taken back.',
        );
    }

    /** R, Python, LibreOffice Calc and psql in several locales: each file by hand, one after the other. */
    public function test_files_of_other_programs_all_bring_the_same_list(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        foreach (glob(__DIR__.'/../Fixtures/made-elsewhere/*-*') ?: [] as $path) {
            $name = basename($path);
            $this->find('[data-testid="file"]')->sendKeys((string) realpath($path));
            $this->see('4 rows to keep');
            $this->await(
                fn(): ?bool => $this->findText('Import', 'button')->getAttribute('disabled') === null ?: null,
                $name.' cannot be imported.',
            );
            $this->clickText('Import', 'button');
            $this->await(
                static fn(): ?bool => DB::table('imports')->where('study_id', $study->id)->latest('id')->value('file_name') === $name ?:
                null,
                $name.' was not imported.',
            );
            $this->seeNot('4 rows to keep');
            self::assertSame(
                [
                    ['1984', 7, 12500, 61.25],
                    ['blotting paper', 45, null, 9.0],
                    ['café chairs', 3, 1234, 20.5],
                    ['ink, black', 12, 880, 35.0],
                ],
                self::kept($study->id),
                $name,
            );
        }
    }

    /** @return list<array{string, int, ?int, ?float}> keyword, position, volume, difficulty */
    private static function kept(int $study): array
    {
        $rows = DB::table('rankings')
            ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
            ->leftJoin('live_sources', 'live_sources.snapshot_id', '=', 'live_snapshots.id')
            ->leftJoin(
                'metrics',
                static fn($join) => $join->on('metrics.source_id', '=', 'live_sources.id')->on('metrics.keyword', '=', 'rankings.keyword'),
            )
            ->where('rankings.study_id', $study)
            ->orderBy('rankings.keyword')
            ->get(['rankings.keyword', 'position', 'volume', 'difficulty']);

        return array_values(
            $rows
                ->map(
                    static fn(\stdClass $row): array => [
                        $row->keyword,
                        $row->position,
                        $row->volume,
                        $row->difficulty === null ? null : (float) $row->difficulty,
                    ],
                )
                ->all(),
        );
    }

    public function test_words_are_found_in_a_text_and_put_into_the_list(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, "keyword,position\npen,8\n", options: ['--domain' => 'quillfair.example']);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather?panel=words");
        $this->clickText('From a text or page', 'button');
        $this->find('aside textarea')->sendKeys('A bottle of iron gall ink lasts. Iron gall ink darkens with age.');
        $this->clickText('Find terms', 'button');
        $this->clickText('iron gall ink', 'label');
        $this->clickText('Put 1 to the list', 'button');
        $this->see('1 keywords added');
        self::assertSame(['iron gall ink'], DB::table('metrics')->where('study_id', $study->id)->pluck('keyword')->all());
    }

    public function test_the_study_is_turned_round_and_a_competitor_dropped(): void
    {
        $study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        $this->click('[aria-label="What to do with nibhouse.example"]');
        $this->clickText('Compare from its side', 'li');
        $this->await(
            fn(): ?bool => $study->refresh()->comparedDomains()[0]->entry === 'nibhouse.example' ?: null,
            'The study was not turned round.',
        );
        $this->click('[aria-label="What to do with inkmoor.example"]');
        $this->clickText('Remove from comparison', 'li');
        $this->see('candidate, not compared');
        self::assertCount(2, $study->refresh()->comparedDomains());
    }
}
