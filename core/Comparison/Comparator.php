<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * Merges the snapshots of our domain and its competitors into one row per keyword of the universe.
 *
 * Every stream comes in keyword order, and rows leave in keyword order, so that memory does not grow with the lists.
 * The universe is every keyword in a current snapshot or on the study's own list, whatever `within` is; a keyword that
 * only a previous snapshot holds is not in it.
 */
final readonly class Comparator
{
    /**
     * @param int   $within a position counts only up to this one (10, 20, 50 or 100)
     * @param float $noise  share of a position up to which a change is daily jitter
     */
    public function __construct(private int $within = Ranking::WORST_POSITION, private float $noise = 0.0)
    {
    }

    /**
     * @param list<iterable<Ranking>>  $current  one stream per domain, ours first; empty where a domain has no snapshot
     * @param list<?iterable<Ranking>> $previous the same for the previous snapshots, null where there is none
     * @param iterable<string>         $listed   the study's own keyword list, in keyword order
     *
     * @return \Generator<int, ComparisonRow>
     *
     * @throws InvalidArgument when a stream is not in keyword order, or the two lists differ in length
     */
    public function rows(array $current, array $previous, iterable $listed): \Generator
    {
        $moves = isset($previous[0]);
        foreach (self::gather($current, $previous, $listed) as $gathered) {
            yield $this->row($gathered, $moves);
        }
    }

    /**
     * The merging alone, for who wants to compare later or more than once.
     *
     * @param list<iterable<Ranking>>  $current
     * @param list<?iterable<Ranking>> $previous
     * @param iterable<string>         $listed
     *
     * @return \Generator<int, GatheredKeyword>
     *
     * @throws InvalidArgument as rows()
     */
    public static function gather(array $current, array $previous, iterable $listed): \Generator
    {
        if (\count($current) !== \count($previous)) {
            throw InvalidArgument::because('Every domain needs a current and a previous stream, even an empty one.');
        }
        $now = array_map(SnapshotStream::over(...), $current);
        $before = array_map(static fn(?iterable $stream) => $stream === null ? null : SnapshotStream::over($stream), $previous);
        $list = SnapshotStream::over(self::asRankings($listed));
        $all = [...$now, $list];
        while (($keyword = self::smallest($all)) !== null) {
            $list->take($keyword);
            $rankings = $positions = [];
            foreach ($now as $domain => $stream) {
                $rankings[] = $stream->take($keyword);
                $positions[] = $before[$domain]?->seek($keyword)[0]->position ?? null;
            }
            yield new GatheredKeyword($keyword, $rankings, $positions);
        }
    }

    /** @param bool $moves whether our domain has a previous snapshot */
    public function row(GatheredKeyword $gathered, bool $moves): ComparisonRow
    {
        $own = $gathered->rankings[0] ?? [];
        if ($this->within === Ranking::WORST_POSITION) {
            return $this->summarise($gathered->keyword, $gathered->positions(), $gathered->previous, $own, $moves);
        }
        $counts = fn(?int $position): ?int => $position === null || $position > $this->within ? null : $position;

        return $this->summarise(
            $gathered->keyword,
            array_map($counts, $gathered->positions()),
            array_map($counts, $gathered->previous),
            array_values(array_filter($own, fn(Ranking $ranking): bool => $ranking->position <= $this->within)),
            $moves,
        );
    }

    /**
     * @param list<?int>    $positions
     * @param list<?int>    $previous
     * @param list<Ranking> $own
     */
    private function summarise(string $keyword, array $positions, array $previous, array $own, bool $moves): ComparisonRow
    {
        $p0 = $positions[0] ?? null;
        $presence = $p0 === null ? 0 : 1;
        $best = $bestPosition = null;
        $ranking = $above = 0;
        foreach ($positions as $domain => $position) {
            if ($domain === 0 || $position === null) {
                continue;
            }
            $presence |= 1 << $domain;
            ++$ranking;
            $above += $p0 === null || $position < $p0 ? 1 : 0;
            if ($bestPosition === null || $position < $bestPosition) {
                [$best, $bestPosition] = [$domain, $position];
            }
        }

        return new ComparisonRow(
            $keyword,
            Standing::of($p0, $bestPosition),
            $positions,
            $previous,
            $own,
            $best,
            $bestPosition,
            $ranking,
            $above,
            $presence,
            $moves ? Movement::between($previous[0], $p0, $this->noise) : null,
        );
    }

    /** @param list<SnapshotStream> $streams */
    private static function smallest(array $streams): ?string
    {
        $smallest = null;
        foreach ($streams as $stream) {
            $keyword = $stream->keyword;
            if ($keyword !== null && ($smallest === null || strcmp($keyword, $smallest) < 0)) {
                $smallest = $keyword;
            }
        }

        return $smallest;
    }

    /**
     * @param iterable<string> $keywords
     *
     * @return \Generator<int, Ranking>
     */
    private static function asRankings(iterable $keywords): \Generator
    {
        foreach ($keywords as $keyword) {
            yield new Ranking($keyword, 1);
        }
    }
}
