<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Domain;
use App\Models\PlanItem;
use App\Models\Study;
use Tests\TestCase;

/** A domain that is written anew with another scope keeps what was imported for it. */
final class ScopeChangeTest extends TestCase
{
    private const LISTS = <<<'CSV'
        domain,keyword,position,url,volume
        quillfair.example,big pen,4,https://quillfair.example/pens/big,500
        quillfair.example,big pen,9,https://quillfair.example/shop/big,500
        quillfair.example,small pen,7,https://shop.quillfair.example/small,300
        quillfair.example,any pen,8,,200
        inkmoor.example,big pen,2,https://inkmoor.example/big,500
        CSV;

    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import($this->study, self::LISTS, 'rankings', ['--date' => '2026-10-01']);
        $this->actingAs($this->makeEditor($this->study));
    }

    public function test_a_narrower_scope_takes_over_what_lies_inside_it(): void
    {
        $said = $this->say(['domain' => 'quillfair.example/shop']);
        self::assertSame(
            [
                'Copied from "quillfair.example" to "quillfair.example/shop": 1 list, without what is outside '
                    .'"quillfair.example/shop".',
            ],
            $said,
        );
        self::assertSame(['any pen' => '8', 'big pen' => '9'], $this->ourPositions());

        self::assertSame([], $this->say(['domain' => 'quillfair.example']), 'the earlier scope still has its lists');
        self::assertSame(['any pen' => '8', 'big pen' => '4', 'small pen' => '7'], $this->ourPositions());
    }

    public function test_a_wider_scope_says_what_it_lacks(): void
    {
        $this->say(['competitors' => ['www.inkmoor.example']]);
        $said = $this->say(['competitors' => ['inkmoor.example', 'nibhouse.example']]);
        self::assertSame([], $said, 'known already');
        $this->say(['competitors' => ['www.nibhouse.example']]);
        $place = ['--domain' => 'www.nibhouse.example', '--date' => '2026-10-01'];
        $this->import($this->study, "keyword,position\nbig pen,3\n", 'rankings', $place);
        self::assertSame(
            [
                'Copied from "www.nibhouse.example" to "nibhouse.example": 1 list, only what is inside "www.nibhouse.example". '
                    .'Import the files again for the rest.',
            ],
            $this->say(['competitors' => ['nibhouse.example']]),
        );
    }

    public function test_figures_brand_terms_and_the_roadmap_come_along(): void
    {
        $this->import($this->study, "domain,authority,brand_terms\nquillfair.example,41,fair pens\n", 'domains');
        $this->ourPositions();
        $this->postJson("/api/v1/studies/{$this->study->slug}/plan/items", ['keywords' => ['big pen']])->assertSuccessful();
        $this->say(['domain' => 'quillfair.example/pens']);
        /** @var Domain $domain */
        $domain = Domain::query()->where('study_id', $this->study->id)->where('role', Domain::OWN)->firstOrFail();
        self::assertSame(41.0, $domain->authority);
        self::assertSame(['fair pens'], $domain->brand_terms);
        self::assertSame([$domain->id], PlanItem::query()->where('study_id', $this->study->id)->pluck('domain_id')->all());
    }

    public function test_undoing_the_import_takes_what_was_taken_over(): void
    {
        $this->say(['domain' => 'quillfair.example/shop']);
        $import = $this->getJson("/api/v1/studies/{$this->study->slug}/imports")->json('0.id');
        $this->deleteJson("/api/v1/studies/{$this->study->slug}/imports/{$import}")->assertOk();
        $this->assertDatabaseMissing('snapshots', ['study_id' => $this->study->id]);
        $this->assertDatabaseMissing('rankings', ['study_id' => $this->study->id]);
        $this->assertDatabaseMissing('metrics', ['study_id' => $this->study->id]);
    }

    public function test_hosts_beside_each_other_take_nothing_over(): void
    {
        $this->say(['domain' => 'shop.quillfair.example']);
        self::assertSame([], $this->say(['domain' => 'blog.quillfair.example']));
    }

    public function test_the_command_says_so_too(): void
    {
        [$code, $printed] = $this->command('reach:study', ['slug' => $this->study->slug, '--domain' => 'shop.quillfair.example']);
        self::assertSame(0, $code);
        self::assertStringContainsString('Copied from "quillfair.example" to "shop.quillfair.example": 1 list', $printed);
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return list<string>
     */
    private function say(array $changes): array
    {
        return $this->patchJson("/api/v1/studies/{$this->study->slug}", $changes)->assertOk()->json('notes');
    }

    /** @return array<string, string> keyword → our position */
    private function ourPositions(): array
    {
        [$code, $csv] = $this->command('reach:compare', ['slug' => $this->study->slug]);
        self::assertSame(0, $code, $csv);
        $positions = [];
        foreach (self::readCsv($csv) as $row) {
            $positions[$row['keyword']] = $row['own_position'];
        }

        return $positions;
    }
}
