<?php

declare(strict_types=1);

namespace Tests\Core\Comparison;

use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Overlap;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Exception\InvalidArgument;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Golden;

final class ComparatorTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>}> */
    public static function golden(): iterable
    {
        return Golden::cases(__DIR__.'/rows.txt');
    }

    /** @return iterable<string, array{string, int}> */
    public static function noRankings(): iterable
    {
        yield 'no keyword' => ['', 7];
        yield 'above the first' => ['pen', 0];
        yield 'below the last' => ['pen', 101];
        yield 'negative' => ['pen', -7];
    }

    #[DataProvider('noRankings')]
    public function test_what_is_no_ranking_cannot_be_made(string $keyword, int $position): void
    {
        $this->expectException(InvalidArgument::class);
        new Ranking($keyword, $position);
    }

    /** @param array<string, string> $case */
    #[DataProvider('golden')]
    public function test_a_keyword_is_summed_up_as_the_rules_say(array $case): void
    {
        $rows = $this->compare(
            [self::snapshot($case['ours']), self::snapshot($case['a']), self::snapshot($case['b'])],
            [isset($case['ours before']) ? self::snapshot($case['ours before']) : null, null, null],
            (int) ($case['within'] ?? 100),
            ['k'],
        );
        self::assertCount(1, $rows);
        $row = $rows[0];
        self::assertSame($case['standing'], $row->standing->value);
        self::assertSame(
            $case['best'] ?? '',
            $row->bestCompetitor === null ? '' : 'ab'[$row->bestCompetitor - 1].' at '.$row->bestPosition,
        );
        self::assertSame($case['ranking'], (string) $row->competitorsRanking);
        self::assertSame($case['above'], (string) $row->competitorsAbove);
        self::assertSame($case['movement'] ?? '', $row->movement === null ? '' : $row->movement->value);
    }

    public function test_the_universe_is_every_current_or_listed_keyword_and_no_other(): void
    {
        $rows = $this->compare([[new Ranking('b', 3)], [new Ranking('d', 90)]], [[new Ranking('a', 1), new Ranking('b', 5)], null], 10, [
            'c',
            'c',
            'e',
        ]);
        self::assertSame(['b', 'c', 'd', 'e'], array_map(static fn(ComparisonRow $row): string => $row->keyword, $rows));
        self::assertSame(
            ['alone', 'unclaimed', 'unclaimed', 'unclaimed'],
            array_map(static fn(ComparisonRow $row): string => $row->standing->value, $rows),
        );
    }

    public function test_the_best_of_several_pages_counts_and_ties_go_to_the_smaller_url(): void
    {
        $rows = $this->compare(
            [
                [
                    new Ranking('k', 9, 'https://a.example/z'),
                    new Ranking('k', 4, 'https://a.example/b'),
                    new Ranking('k', 4),
                    new Ranking('k', 4, 'https://a.example/a'),
                ],
            ],
            [null],
            100,
            [],
        );
        self::assertSame('https://a.example/a', $rows[0]->ownUrl());
        self::assertSame(4, $rows[0]->ownPosition());
        self::assertCount(4, $rows[0]->ownRankings);
    }

    public function test_competitors_near_the_top_are_counted_without_us(): void
    {
        $at = static fn(int $position): array => [new Ranking('pen', $position)];
        $row = $this->compare([$at(1), $at(10), $at(11), [], $at(20)], [null, null, null, null, null], 100, [])[0];
        self::assertSame([0, 1, 3, 3], array_map($row->competitorsIn(...), [9, 10, 20, 100]));
    }

    public function test_keywords_are_ordered_by_code_point(): void
    {
        $keywords = ['2026', 'Z', 'a', 'z', 'é', 'ﬀ', '😀'];
        $rows = $this->compare([array_map(static fn(string $keyword): Ranking => new Ranking($keyword, 1), $keywords)], [null], 100, []);
        self::assertSame($keywords, array_map(static fn(ComparisonRow $row): string => $row->keyword, $rows));
    }

    public function test_a_stream_out_of_order_is_a_misuse(): void
    {
        $this->expectException(InvalidArgument::class);
        $this->expectExceptionMessage('keyword order');
        $this->compare([[new Ranking('b', 1), new Ranking('a', 1)]], [null], 100, []);
    }

    public function test_an_empty_study_has_no_rows(): void
    {
        self::assertSame([], $this->compare([[], []], [null, null], 100, []));
    }

    /** A plain and slow version of the rules, on random data: the same rows, whatever order the input came in. */
    #[DataProvider('seeds')]
    public function test_it_agrees_with_a_plain_version_on_random_data(int $seed): void
    {
        mt_srand($seed);
        $within = [10, 20, 50, 100][mt_rand(0, 3)];
        $current = array_map(fn(): array => $this->randomSnapshot(), range(0, mt_rand(0, 5)));
        $previous = array_map(fn(): ?array => mt_rand(0, 2) === 0 ? null : $this->randomSnapshot(), $current);
        $listed = ['k05', 'k17', 'k99'];
        $rows = $this->compare($current, $previous, $within, $listed);
        self::assertSame(PlainComparison::rows($current, $previous, $within, $listed), array_map(self::flat(...), $rows));
        $overlap = new Overlap(\count($current));
        foreach ($rows as $row) {
            $overlap->add($row->presence);
        }
        $anyone = array_filter($rows, static fn(ComparisonRow $row): bool => $row->standing !== Standing::Unclaimed);
        self::assertSame(\count($anyone), array_sum($overlap->counts()), 'Overlap counts sum to the keywords with anyone present.');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 60) as $seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    public function test_movement_is_empty_only_when_absent_in_both(): void
    {
        self::assertNull(Movement::between(null, null));
        self::assertSame(Movement::Steady, Movement::between(4, 4));
    }

    public function test_jaccard_similarity_is_common_over_either(): void
    {
        $overlap = Overlap::fromCounts(3, [0b001 => 2, 0b011 => 3, 0b111 => 1, 0b100 => 4]);
        self::assertSame(4 / 6, $overlap->jaccard(0, 1));
        self::assertSame(1 / 10, $overlap->jaccard(0, 2));
        self::assertNull((new Overlap(2))->jaccard(0, 1));
    }

    /** @return list<Ranking> */
    private function randomSnapshot(): array
    {
        $rankings = [];
        for ($count = mt_rand(0, 40); $count > 0; --$count) {
            $rankings[] = new Ranking(
                sprintf('k%02d', mt_rand(0, 30)),
                mt_rand(1, 100),
                mt_rand(0, 4) === 0 ? null : 'https://x.example/'.mt_rand(0, 3),
            );
        }
        usort($rankings, static fn(Ranking $a, Ranking $b): int => strcmp($a->keyword, $b->keyword));

        return $rankings;
    }

    /** @return array<string, mixed> */
    private static function flat(ComparisonRow $row): array
    {
        return [
            'keyword' => $row->keyword,
            'standing' => $row->standing->value,
            'positions' => $row->positions,
            'previous' => $row->previous,
            'url' => $row->ownUrl(),
            'best' => $row->bestCompetitor,
            'ranking' => $row->competitorsRanking,
            'above' => $row->competitorsAbove,
            'movement' => $row->movement?->value,
        ];
    }

    /**
     * @param list<list<Ranking>>  $current
     * @param list<?list<Ranking>> $previous
     * @param list<string>         $listed
     *
     * @return list<ComparisonRow>
     */
    private function compare(array $current, array $previous, int $within, array $listed): array
    {
        return iterator_to_array((new Comparator($within))->rows($current, $previous, $listed), false);
    }

    /** @return list<Ranking> */
    private static function snapshot(string $positions): array
    {
        return array_map(
            static fn(string $position): Ranking => new Ranking('k', (int) $position),
            preg_split('/\s+/', $positions, -1, PREG_SPLIT_NO_EMPTY) ?: [],
        );
    }

    public function test_an_overlap_counts_one_to_sixty_two_domains(): void
    {
        self::assertSame([], (new Overlap(1))->counts());
        self::assertSame([], (new Overlap(62))->counts());
        foreach ([0, 63, -1] as $domains) {
            try {
                new Overlap($domains);
                self::fail("{$domains} domains were taken.");
            } catch (InvalidArgument $misuse) {
                self::assertSame('Overlap counts 1 to 62 domains.', $misuse->getMessage());
            }
        }
    }
}
