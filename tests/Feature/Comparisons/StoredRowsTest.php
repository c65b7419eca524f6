<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Comparisons\StoredRows;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use GreaterReach\Core\Priority\Opportunity;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** A row read back from the database weighs exactly what the comparison made of it. */
final class StoredRowsTest extends TestCase
{
    private const DOMAINS = ['quillfair.example', 'inkmoor.example', 'nibhouse.example'];

    /** @return iterable<string, array{int, list<string>}> */
    public static function studies(): iterable
    {
        yield 'the standard rulebook' => [1, []];
        yield 'other rules' => [2, [
            'curve=fitted', 'weights=expected:1,worth:2,ease:1,volume:1,gain:1,value:1,intent:1,fit:1', 'feature_clicks=answer:.5',
            'movement_noise=0', 'within=50',
        ]];
    }

    /** @param list<string> $settings */
    #[DataProvider('studies')]
    public function test_every_stored_row_weighs_the_same_again(int $seed, array $settings): void
    {
        $study = $this->randomStudy(new Randomizer(new Mt19937($seed)));
        if ($settings !== []) {
            self::assertSame(0, $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => $settings])[0]);
        }
        $comparison = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $rows = iterator_to_array(ComparisonRows::read($comparison->table()->query()), false);
        self::assertGreaterThan(150, \count($rows));
        self::assertNotEmpty(array_filter($rows, static fn(WeighedRow $row): bool => $row->measuredImpressions !== null));
        self::assertGreaterThan(4, \count(array_unique(array_map(static fn(WeighedRow $row): string => (string) $row->tactic, $rows))));
        $models = $comparison->models();
        self::assertNotNull($models);
        foreach (StoredRows::of($study, $models)->weighed($rows) as [$row, $opportunity]) {
            self::assertEquals(self::stored($row), self::weighed($opportunity), $row->keyword);
        }
    }

    /** The previous position decides between two tactics, so it has to survive the way into the database and back. */
    public function test_a_decision_keeps_a_tactic_that_looks_at_the_previous_position(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        foreach (['2026-10-01' => 4, '2026-11-01' => 12] as $day => $position) {
            $rows = "pen,{$position},900,10,https://quillfair.example/pens\n";
            $of = ['--domain' => 'quillfair.example', '--date' => $day];
            $this->import($study, "keyword,position,volume,difficulty,url\n{$rows}", options: $of);
        }
        $comparison = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        self::assertSame('refresh page', $this->tactic($comparison));
        $this->actingAs($this->makeEditor($study));
        $this->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => ['pen'], 'fit' => 4])->assertOk();
        self::assertSame('refresh page', $this->tactic($comparison));
    }

    private function tactic(Comparison $comparison): string
    {
        return (string) $comparison->table()->query()->where('keyword', 'pen')->value('tactic');
    }

    /** @return array<string, mixed> */
    private static function stored(WeighedRow $row): array
    {
        return [
            'target' => $row->target, 'visits' => $row->visitsNow, 'potential' => $row->potential, 'gain' => $row->gain,
            'chance' => $row->winChance, 'expected' => $row->expectedGain, 'worth' => $row->worth, 'horizon' => $row->horizon,
            'tactic' => (string) $row->tactic, 'intent' => $row->intent, 'links' => $row->linksToEarn, 'movement' => $row->movement,
            'previous' => $row->previous, 'scores' => $row->scores?->toArray(), 'ground' => $row->ground,
        ];
    }

    /** @return array<string, mixed> */
    private static function weighed(Opportunity $one): array
    {
        return [
            'target' => $one->work->target, 'visits' => $one->clicks->visitsNow, 'potential' => $one->clicks->potential,
            'gain' => $one->work->gain, 'chance' => $one->work->winChance, 'expected' => $one->work->expectedGain, 'worth' => $one->worth,
            'horizon' => $one->horizon, 'tactic' => (string) $one->work->tactic, 'intent' => $one->intent, 'links' => $one->linksToEarn,
            'movement' => $one->candidate->row->movement, 'previous' => $one->candidate->row->previous,
            'scores' => $one->scores->toArray(), 'ground' => $one->candidate->ground->share(),
        ];
    }

    private function randomStudy(Randomizer $random): Study
    {
        $study = $this->makeStudy();
        $subjects = ['pen', 'ink', 'paper', 'case', 'nib', 'wax'];
        $keywords = [];
        foreach (range(1, 240) as $number) {
            $keywords[] = $subjects[$number % 6].' '.$subjects[$random->getInt(0, 5)].' model'.intdiv($number, 3);
        }
        foreach (self::DOMAINS as $domain) {
            foreach (['2026-10-01', '2026-11-01'] as $day) {
                $this->import($study, self::ranking($random, $domain, $keywords), options: ['--domain' => $domain, '--date' => $day]);
            }
        }
        $measured = "query,page,clicks,impressions,position\n";
        foreach (array_slice(array_unique($keywords), 0, 100) as $number => $keyword) {
            $place = 1 + $number % 12;
            $page = 'https://quillfair.example/p'.($number % 30);
            $measured .= "{$keyword},{$page},{$random->getInt(0, 60)},{$random->getInt(90, 900)},{$place}\n";
        }
        $this->import($study, $measured, 'performance');
        $this->actingAs($this->makeEditor($study));
        $decide = fn(array $keywords, array $order) => $this
            ->postJson("/api/v1/studies/{$study->slug}/decisions", ['keywords' => $keywords, ...$order])->assertOk();
        $decide([$keywords[3], $keywords[4]], ['fit' => 4]);
        $decide([$keywords[5]], ['target' => 2]);
        $decide([$keywords[6]], ['intent' => 'buy']);
        $decide([$keywords[7], $keywords[9]], ['topic' => 'by hand']);

        return $study;
    }

    /** @param list<string> $keywords */
    private static function ranking(Randomizer $random, string $domain, array $keywords): string
    {
        $lines = "keyword,position,volume,difficulty,cpc,features,url\n";
        foreach (array_unique($keywords) as $number => $keyword) {
            if ($random->getInt(0, 2) > 0) {
                $lines .= implode(',', [
                    $keyword, $random->getInt(1, 60), $number % 17 === 0 ? '' : $random->getInt(5, 4000), $random->getInt(3, 80),
                    $random->getInt(1, 30) / 10, $number % 7 === 0 ? 'answer' : '', "https://{$domain}/p".intdiv($number, 4),
                ])."\n";
                if ($number % 11 === 0) {
                    $lines .= "{$keyword},70,,,,,https://{$domain}/other\n";
                }
            }
        }

        return $lines;
    }
}
