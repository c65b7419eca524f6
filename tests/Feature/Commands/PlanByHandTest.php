<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\Study;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * The proposed plan against a plain reading of what weighing exported: days by tactic and links, the best set of each month
 * found by trying every set there is, and the month by which a seasonal keyword must be out.
 */
final class PlanByHandTest extends TestCase
{
    private const DAYS = [
        'new page' => 3.0,
        'extend page' => 1.5,
        'improve page' => 1.0,
        'refresh page' => 1.5,
        'merge pages' => 1.0,
        'test title' => 0.5,
    ];
    private const RAMPS = [
        'new page' => 4,
        'extend page' => 3,
        'improve page' => 2,
        'refresh page' => 2,
        'merge pages' => 2,
        'test title' => 1,
    ];

    private string $by = 'topic';

    /** So few that every set of them can be tried. */
    private const KEYWORDS = 12;

    /** Keyword → calendar month of its peak, the others being even over the year. */
    private const PEAKS = ['honey 2' => 3, 'honey 5' => 12, 'honey 9' => 7];

    /** @return iterable<string, array{int, int, float}> seed, months, days a month */
    public static function plans(): iterable
    {
        yield 'half a year, much room' => [1, 6, 14.0];
        yield 'two months, little room' => [2, 2, 9.0];
        yield 'half days' => [3, 3, 9.5];
        yield 'one month' => [4, 1, 11.0];
        yield 'room for all at once' => [5, 2, 60.0];
        yield 'a year' => [6, 12, 9.0];
    }

    #[DataProvider('plans')]
    public function test_every_month_holds_the_best_set_that_fits(int $seed, int $months, float $capacity): void
    {
        $this->by = $seed % 2 === 0 ? 'topic' : 'keyword';
        $study = $this->filled($seed);
        $left = $this->opportunities($study);
        self::assertGreaterThan(6, \count($left));
        self::assertLessThanOrEqual(
            $capacity,
            max([0.0, ...array_values(array_map(self::days(...), $left))]),
            'No item is larger than a month, so that there is one reading alone.',
        );
        $planned = $this->planned($study, $months, $capacity);
        for ($step = 0; $step < $months; ++$step) {
            $chosen = $planned[self::month($step)] ?? [];
            $keywords = array_column($chosen, 'item');
            self::assertSame(array_values(array_intersect(array_map(strval(...), array_keys($left)), $keywords)), $keywords, 'By rank.');
            self::assertSame([], array_diff($keywords, array_keys($left)), 'Nothing is planned twice, or without being an opportunity.');
            self::assertLessThanOrEqual(
                (int) (2 * $capacity),
                array_sum(array_map(static fn(string $keyword): int => self::halfDays($left[$keyword]), $keywords)),
            );
            self::assertEqualsWithDelta(
                self::best($left, (int) (2 * $capacity)),
                array_sum(array_map(static fn(string $keyword): float => (float) $left[$keyword]['expected_gain'], $keywords)),
                1e-9,
                "Month {$step} could bring more.",
            );
            $left = array_diff_key($left, array_flip($keywords));
        }
        self::assertSame(
            [],
            array_diff(array_keys($planned), array_map(self::month(...), range(0, $months - 1))),
            'Nothing stands outside of the months asked for.',
        );
    }

    #[TestWith(['keyword'])]
    #[TestWith(['topic'])]
    public function test_days_and_chances_are_those_of_the_weighing(string $by): void
    {
        $this->by = $by;
        $study = $this->filled(7);
        $opportunities = $this->opportunities($study);
        $rows = array_merge(...array_values($this->planned($study, 6, 30.0)));
        self::assertCount(\count($opportunities), $rows);
        foreach ($rows as $row) {
            $weighed = $opportunities[$row['item']];
            self::assertSame(self::days($weighed), (float) $row['effort_days'], $row['item']);
            self::assertSame(
                [
                    $weighed['tactic'],
                    $weighed['lead'] ?? $row['item'],
                    $weighed['keywords'] ?? '1',
                    $weighed['expected_gain'],
                    $weighed['win_chance'],
                ],
                [$row['tactic'], $row['lead'], $row['keywords'], $row['expected_gain'], $row['win_chance']],
            );
        }
    }

    public function test_a_seasonal_keyword_is_out_its_ramp_before_the_first_peak_that_can_be_reached(): void
    {
        $study = $this->filled(8);
        $rows = array_column(array_merge(...array_values($this->planned($study, 6, 30.0))), null, 'item');
        foreach ($rows as $keyword => $row) {
            $peak = self::PEAKS[$keyword] ?? null;
            self::assertSame(
                $peak === null ? '' : self::publishBy($peak, self::RAMPS[str_replace(' + links', '', $row['tactic'])]),
                $row['publish_by'],
                (string) $keyword,
            );
        }
        self::assertNotSame([], array_intersect_key(self::PEAKS, $rows), 'Some seasonal keyword was planned.');
    }

    public function test_both_formats_tell_the_same_plan(): void
    {
        $study = $this->filled(9);
        $options = ['slug' => $study->slug, '--months' => '3', '--capacity' => '12', '--start' => '2026-12'];
        $csv = self::readCsv($this->command('reach:plan', $options)[1]);
        /** @var list<array<string, string|int|float|null>> $json */
        $json = json_decode($this->command('reach:plan', [...$options, '--format' => 'json'])[1], true, 8, JSON_THROW_ON_ERROR);
        self::assertSame(array_column($csv, 'item'), array_column($json, 'item'));
        self::assertEqualsWithDelta(
            array_map(floatval(...), array_column($csv, 'expected_gain')),
            array_column($json, 'expected_gain'),
            1e-12,
        );
        self::assertSame($csv, self::readCsv($this->command('reach:plan', $options)[1]), 'Asked again, it proposes the same.');
    }

    private static function month(int $step): string
    {
        return sprintf('%04d-%02d', 2026 + intdiv(11 + $step, 12), 1 + (11 + $step) % 12);
    }

    /** The peak less the ramp, in the first year in which that is not before the plan begins. */
    private static function publishBy(int $peak, int $ramp): string
    {
        for ($year = 2026;; ++$year) {
            $month = 12 * $year + $peak - 1 - $ramp;
            if ($month >= 12 * 2026 + 11) {
                return sprintf('%04d-%02d', intdiv($month, 12), 1 + $month % 12);
            }
        }
    }

    /** @param array<string, string> $row of the weighing */
    private static function days(array $row): float
    {
        $steps = intdiv(max(0, (int) ($row['keywords'] ?? 1) - 1), 10);

        return self::DAYS[str_replace(' + links', '', $row['tactic'])] + ($row['tactic'] === 'test title' ? 0.0 : min(2.0, .5 * $steps));
    }

    /** @param array<string, string> $row */
    private static function halfDays(array $row): int
    {
        return (int) ceil(2 * self::days($row));
    }

    /**
     * @param array<array-key, array<string, string>> $items
     *
     * @return float the most that a set of them brings, each set tried
     */
    private static function best(array $items, int $room): float
    {
        $items = array_values($items);
        $best = 0.0;
        for ($set = 0; $set < 1 << \count($items); ++$set) {
            $days = 0;
            $gain = 0.0;
            foreach ($items as $number => $item) {
                if (($set >> $number & 1) === 1) {
                    $days += self::halfDays($item);
                    $gain += (float) $item['expected_gain'];
                }
            }
            if ($days <= $room) {
                $best = max($best, $gain);
            }
        }

        return $best;
    }

    /** @return array<array-key, array<string, string>> keyword → row of the weighing that something can be gained from */
    private function opportunities(Study $study): array
    {
        $rows = self::readCsv($this->command('reach:weigh', ['slug' => $study->slug, '--by' => $this->by])[1]);

        return array_filter(array_column($rows, null, $this->by), static fn(array $row): bool => (float) $row['expected_gain'] > 0);
    }

    /** @return array<string, list<array<string, string>>> month → rows of the plan */
    private function planned(Study $study, int $months, float $capacity): array
    {
        [$code, $csv] = $this->command('reach:plan', [
            'slug' => $study->slug,
            '--months' => (string) $months,
            '--capacity' => (string) $capacity,
            '--start' => '2026-12',
            '--by' => $this->by,
        ]);
        self::assertSame(0, $code, $csv);
        $planned = [];
        foreach (self::readCsv($csv) as $row) {
            $planned[$row['month']][] = $row;
        }

        return $planned;
    }

    private function filled(int $seed): Study
    {
        $random = new Randomizer(new Mt19937($seed));
        $study = $this->makeStudy(['inkmoor.example'], 'quillfair.example');
        $own = $theirs = "keyword,position,url,volume,difficulty\n";
        $monthly = 'keyword,'.implode(',', array_map(static fn(int $month): string => 'm'.$month, range(1, 12)))."\n";
        for ($number = 0; $number < self::KEYWORDS; ++$number) {
            $volume = 100 * $random->getInt(2, 40);
            if ($random->getInt(0, 2) > 0) {
                $own .= sprintf(
                    "honey %d,%d,https://quillfair.example/page-%d,%d,%d\n",
                    $number,
                    $random->getInt(4, 40),
                    $number,
                    $volume,
                    $random->getInt(2, 40),
                );
            }
            $theirs .= sprintf(
                "honey %d,%d,https://inkmoor.example/page-%d,%d,%d\n",
                $number,
                $random->getInt(1, 9),
                $number,
                $volume,
                $random->getInt(2, 40),
            );
            $peak = self::PEAKS["honey {$number}"] ?? null;
            $monthly .=
                "honey {$number},".
                implode(',', array_map(static fn(int $month): int => $month === $peak ? 5 * $volume : $volume, range(1, 12))).
                "\n";
        }
        $this->import($study, $own, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, $theirs, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->import($study, $monthly, 'keywords', ['--date' => '2026-11-01']);

        return $study->refresh();
    }
}
