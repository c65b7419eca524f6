<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Actions\Plans\ReadShares;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Sentence\Clause;
use App\Support\Sentence\MovementSql;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Market;
use Illuminate\Support\Facades\DB;

/** How we and others stand and move in a study, as findings. */
final readonly class ReadMarketFindings
{
    private const KEPT = 'brands=hide;mark=kept';

    private const GAINS = ['climbed', 'entered'];
    private const LOSSES = ['slipped', 'left'];

    /** Keywords that are worth something could bring so many visits a month at the first place; from memory. */
    private const WORTH = 'potential>=50';

    public function __construct(private ReadShares $shares)
    {
    }

    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        $count = new CountedRows($study, $comparison);
        yield $this->share($study, $comparison);
        yield $this->slipped($comparison, $count);
        $most = self::mostMoved($comparison, $count);
        yield $this->focus($comparison, $count, $most, true);
        yield $this->focus($comparison, $count, $most, false);
        foreach ($this->largest($comparison) as $domain) {
            yield Market::tooLarge($domain['entry'], $domain['authority'] ?? 0.0, $comparison->domains[0]['authority']);
        }
    }

    private function share(Study $study, Comparison $comparison): ?Finding
    {
        $days = $this->shares->execute($study);
        $now = $comparison->summary->shareOfClicks;
        $ours = $now[0] ?? null;
        if ($ours === null) {
            return null;
        }
        $first = $days[0] ?? null;
        $before = \count($days) < 2 ? null : $first['shares'][0] ?? null;
        $most = max([0.0, ...array_map(static fn(?float $share): float => $share ?? 0.0, $now)]);
        $leader = $most > $ours ? (int) array_search($most, $now, true) : null;

        return Market::share(
            $ours,
            $before,
            $before === null ? null : substr($first['day'] ?? '', 0, 7),
            $leader === null ? null : $comparison->domains[$leader]['entry'],
            $leader === null ? null : $most,
            $comparison->own_visits,
        );
    }

    /** What the places lost have cost, by the curve and at the searches of now. */
    private function slipped(Comparison $comparison, CountedRows $count): ?Finding
    {
        if ($comparison->domains[0]['previous'] === null) {
            return null;
        }
        $show = 'movement=slipped;'.self::WORTH.';'.self::KEPT;
        $shares = array_map(Figures::exact(...), $comparison->models()?->curve->besideFirst() ?? []);
        $lost = $count->rows($show)->selectRaw(
            'coalesce(sum(potential * ((?::float8[])[previous[1]] - (?::float8[])[own_position])), 0) AS lost',
            array_fill(0, 2, '{'.implode(',', $shares).'}'),
        )->value('lost');

        return Market::slipped($count->compared($show), Figures::float($lost) ?? 0.0);
    }

    /**
     * Of all competitors the one that moves most in one topic.
     *
     * @param list<object{number: int, is_gain: bool, topic: string, keywords: int}> $most
     */
    private function focus(Comparison $comparison, CountedRows $count, array $most, bool $isGain): ?Finding
    {
        $best = null;
        foreach ($most as $one) {
            if ($one->is_gain === $isGain && ($best === null || $one->keywords > $best->keywords)) {
                $best = $one;
            }
        }
        if ($best === null) {
            return null;
        }
        $moved = "m{$best->number}=".implode(',', $isGain ? self::GAINS : self::LOSSES);
        $counted = $count->compared($moved.';'.Clause::equals('topic', $best->topic).';'.self::KEPT);

        return Market::focus($comparison->domains[$best->number]['entry'], $best->topic, $isGain, $counted);
    }

    /**
     * The topic in which each competitor gained, and lost, most keywords; of equal ones that of more expected gain.
     *
     * @return list<object{number: int, is_gain: bool, topic: string, keywords: int}> competitors in their order
     */
    private static function mostMoved(Comparison $comparison, CountedRows $count): array
    {
        $ways = [];
        foreach (\array_slice($comparison->domains, 1, null, true) as $number => $domain) {
            $ways[] = $domain['previous'] === null ? 'NULL' : '('.MovementSql::movement($number).')';
        }
        $list = static fn(string ...$movements): string => "'".implode("','", $movements)."'";
        /** @var list<object{number: int, is_gain: bool, topic: string, keywords: int}> */
        return $count->rows(self::KEPT)
            ->crossJoin(DB::raw('LATERAL unnest(ARRAY['.implode(', ', $ways).']::text[]) WITH ORDINALITY AS moved(way, number)'))
            ->whereNotNull('topic')
            ->whereRaw('moved.way IN ('.$list(...self::GAINS, ...self::LOSSES).')')
            ->selectRaw(
                'DISTINCT ON (number, is_gain) number, topic, count(*) AS keywords, moved.way IN ('.$list(...self::GAINS).') AS is_gain',
            )
            ->groupByRaw('number, is_gain, topic')
            ->orderByRaw('number, is_gain, count(*) DESC, coalesce(sum(expected_gain), 0) DESC, topic')
            ->get()->all();
    }

    /** @return list<array{entry: string, authority: ?float, ...}> the competitor of most authority */
    private function largest(Comparison $comparison): array
    {
        $theirs = \array_slice($comparison->domains, 1);
        usort($theirs, static fn(array $one, array $other): int => ($other['authority'] ?? -1.0) <=> ($one['authority'] ?? -1.0));

        return \array_slice(array_values(array_filter($theirs, static fn(array $one): bool => $one['authority'] !== null)), 0, 1);
    }
}
