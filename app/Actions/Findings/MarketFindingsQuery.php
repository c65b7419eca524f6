<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Actions\Plans\ClickSharesQuery;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Sentence\Clause;
use App\Support\Sentence\MovementSql;
use GreaterReach\Core\Findings\Counted;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Market;
use Illuminate\Support\Facades\DB;

/**
 * How we and others stand and move in a study, as findings.
 *
 * @phpstan-type Moved object{number: int, is_gain: bool, topic: string}
 */
final readonly class MarketFindingsQuery
{
    private const KEPT = 'brands=hide;mark=kept';

    private const GAINS = ['climbed', 'entered'];
    private const LOSSES = ['slipped', 'left'];

    /** Keywords that are worth something could bring so many visits a month at the first place; from memory. */
    private const WORTH = 'potential>=50';
    private const SLIPPED = 'movement=slipped;'.self::WORTH.';'.self::KEPT;

    public function __construct(private ClickSharesQuery $shares)
    {
    }

    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        $count = new CountedRows($study, $comparison);
        yield $this->share($study, $comparison);
        $most = self::mostMoved($comparison, $count);
        $counted = $count->all(['slipped' => self::SLIPPED, ...array_map(self::moves(...), $most)]);
        yield $this->slipped($comparison, $count, $counted['slipped']);
        foreach ($most as $name => $one) {
            yield Market::focus($comparison->domains[$one->number]['entry'], $one->topic, $one->is_gain, $counted[$name]);
        }
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
    private function slipped(Comparison $comparison, CountedRows $count, Counted $slipped): ?Finding
    {
        if ($comparison->domains[0]['previous'] === null) {
            return null;
        }
        $shares = array_map(Figures::exact(...), $comparison->models()?->curve->besideFirst() ?? []);
        $lost = $count->rows(self::SLIPPED)->selectRaw(
            'coalesce(sum(potential * ((?::float8[])[previous[1]] - (?::float8[])[own_position])), 0) AS lost',
            array_fill(0, 2, '{'.implode(',', $shares).'}'),
        )->value('lost');

        return Market::slipped($slipped, Figures::float($lost) ?? 0.0);
    }

    /** @param Moved $one */
    private static function moves(object $one): string
    {
        $ways = implode(',', $one->is_gain ? self::GAINS : self::LOSSES);

        return "m{$one->number}={$ways};".Clause::equals('topic', $one->topic).';'.self::KEPT;
    }

    /**
     * Of all competitors and topics where one gained most keywords, and where one lost most; of equal ones the first competitor, of its
     * topics that of more expected gain.
     *
     * @return array<string, Moved> gains and losses, as far as there are any
     */
    private static function mostMoved(Comparison $comparison, CountedRows $count): array
    {
        $theirs = array_filter(
            \array_slice($comparison->domains, 1, null, true),
            static fn(array $domain): bool => $domain['previous'] !== null,
        );
        if ($theirs === []) {
            return [];
        }
        $noise = Study::query()->findOrFail($comparison->study_id)->rulebook()->float('movement_noise');
        $rows = $count->rows(self::KEPT)->whereNotNull('topic')
            ->selectRaw('topic, expected_gain, '.MovementSql::EACH_DOMAIN)
            ->selectRaw('generate_series(0, ?) AS number', [\count($comparison->domains) - 1]);
        $moved = DB::query()->fromSub($rows, 'places')
            ->whereRaw('number IN ('.implode(',', array_keys($theirs)).') AND '.(new MovementSql($noise))->hasMoved())
            ->selectRaw('number, topic, count(*) AS keywords, coalesce(sum(expected_gain), 0) AS expected')
            ->selectRaw(MovementSql::HAS_GAINED.' AS is_gain')->groupByRaw('number, is_gain, topic');
        $first = 'SELECT number, topic, is_gain FROM moved WHERE %s ORDER BY keywords DESC, number, expected DESC, topic LIMIT 1';
        $sql = sprintf("WITH moved AS ({$moved->toSql()}) ({$first}) UNION ALL ({$first})", 'is_gain', 'NOT is_gain');
        /** @var list<Moved> $most */
        $most = DB::select($sql, $moved->getBindings());

        return array_combine(array_map(static fn(object $one): string => $one->is_gain ? 'gains' : 'losses', $most), $most);
    }

    /** @return list<array{entry: string, authority: ?float, ...}> the competitor of most authority */
    private function largest(Comparison $comparison): array
    {
        $theirs = \array_slice($comparison->domains, 1);
        usort($theirs, static fn(array $one, array $other): int => ($other['authority'] ?? -1.0) <=> ($one['authority'] ?? -1.0));

        return \array_slice(array_values(array_filter($theirs, static fn(array $one): bool => $one['authority'] !== null)), 0, 1);
    }
}
