<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\GatheredLine;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\GatheredKeyword;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Pages\PageGraph;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** What is put into a line comes out as it was, to the last digit. */
final class GatheredLineTest extends TestCase
{
    public function test_every_figure_comes_back_to_the_last_digit(): void
    {
        $year = [1, 2, null, 4, 5, 6, 7, 8, 9, 10, 11, 12];
        $given = [
            [
                new GatheredKeyword(
                    '1984',
                    [[new Ranking('1984', 3, 'https://a.example/é'), new Ranking('1984', 40)], [], [new Ranking('1984', 100)]],
                    [null, 7, 1],
                ),
                new Metrics(12, 100 / 3, 0.1 + 0.2, 1e-7, $year, true),
                2.5,
            ],
            [
                new GatheredKeyword("ink \\ \"black\"\u{2028}", [[], [new Ranking("ink \\ \"black\"\u{2028}", 1)], []], [null, null, null]),
                Metrics::unknown(),
                null,
            ],
            [new GatheredKeyword('whole', [[], [], []], [null, null, null]), new Metrics(9_007_199_254_740_993, 30.0, 2.0), 0.0],
        ];
        foreach ($given as [$gathered, $metrics, $median]) {
            $line = GatheredLine::of($gathered, $metrics, $median);
            self::assertSame(1, substr_count($line, "\n"), 'A keyword is one line.');
            [$learnable, $read, $readMedian] = GatheredLine::learnable($line);
            self::assertEquals([$gathered, $metrics, $median], [$learnable, $read, $readMedian]);
            self::assertSame([$metrics->difficulty, $metrics->cpc], [$read->difficulty, $read->cpc], 'A float stays the very same float.');
            [$weighable, $read] = GatheredLine::weighable($line);
            self::assertEquals(
                [$gathered->positions(), $gathered->rankings[0], $gathered->previous, $metrics],
                [$weighable->positions(), $weighable->rankings[0], $weighable->previous, $read],
            );
        }
    }

    public function test_rows_compared_from_lines_are_those_compared_at_once(): void
    {
        foreach (range(1, 12) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            $current = array_map(fn(): array => self::snapshot($random), range(0, 3));
            $previous = array_map(fn(int $domain): ?array => $domain === 2 ? null : self::snapshot($random), range(0, 3));
            $within = [10, 20, 50, 100][$seed % 4];
            $atOnce = iterator_to_array((new Comparator($within))->rows($current, $previous, ['k07', 'k99']), false);
            $later = [];
            foreach (Comparator::gather($current, $previous, ['k07', 'k99']) as $gathered) {
                [$read] = GatheredLine::weighable(GatheredLine::of($gathered, Metrics::unknown(), null));
                $later[] = (new Comparator($within))->row($read, true);
            }
            self::assertEquals($atOnce, $later, "seed {$seed}");
        }
    }

    public function test_a_graph_of_lines_is_the_graph_of_all_pages(): void
    {
        foreach (range(1, 12) as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            $current = array_map(fn(): array => self::snapshot($random), range(0, 3));
            $whole = new PageGraph();
            $read = new PageGraph();
            foreach (Comparator::gather($current, [null, null, null, null], []) as $gathered) {
                [$learnable] = GatheredLine::learnable(GatheredLine::of($gathered, Metrics::unknown(), null));
                self::assertSame($gathered->positions(), $learnable->positions());
                self::assertEquals($whole->add($gathered->rankings), $read->add($learnable->rankings), "seed {$seed}");
            }
            self::assertSame($whole->domainsWithPages(), $read->domainsWithPages());
            self::assertSame(array_map($whole->isTold(...), [0, 1, 2, 3]), array_map($read->isTold(...), [0, 1, 2, 3]));
        }
    }

    public function test_who_names_a_page_far_down_alone_is_known_to(): void
    {
        $far = [[], [new Ranking('ink', 21, 'https://a.example/ink')], [new Ranking('ink', 20)]];
        $line = GatheredLine::of(new GatheredKeyword('ink', $far, [null, null, null]), Metrics::unknown(), null);
        [$learnable] = GatheredLine::learnable($line);
        self::assertSame([null, 21, 20], $learnable->positions());
        $graph = new PageGraph();
        $graph->add($learnable->rankings);
        self::assertSame(1, $graph->domainsWithPages());
        self::assertSame([true, true, false], array_map($graph->isTold(...), [0, 1, 2]), 'Who ranks nowhere hides no page.');
    }

    /** @return list<Ranking> in keyword order */
    private static function snapshot(Randomizer $random): array
    {
        $rankings = [];
        for ($number = 0; $number < 30; ++$number) {
            for ($pages = $random->getInt(0, 3); $pages > 0; --$pages) {
                $rankings[] = new Ranking(
                    sprintf('k%02d', $number),
                    $random->getInt(1, 100),
                    $random->getInt(0, 3) === 0 ? null : 'https://a.example/'.$random->getInt(1, 5),
                );
            }
        }

        return $rankings;
    }
}
