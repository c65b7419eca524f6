<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Actions\Plans\ReadShares;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Sentence\Clause;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Market;
use Illuminate\Support\Facades\DB;

/** How we and others stand and move in a study, as findings. */
final readonly class ReadMarketFindings
{
    private const KEPT = 'brands=hide;mark=kept';

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
        yield $this->focus($comparison, $count, true);
        yield $this->focus($comparison, $count, false);
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

    /** Of all competitors the one that moves most in one topic. */
    private function focus(Comparison $comparison, CountedRows $count, bool $isGain): ?Finding
    {
        $best = null;
        foreach (\array_slice($comparison->domains, 1, null, true) as $number => $domain) {
            if ($domain['previous'] !== null) {
                $moved = "m{$number}=".($isGain ? 'climbed,entered' : 'slipped,left');
                $topic = $count->rows($moved.';'.self::KEPT)->whereNotNull('topic')->groupBy('topic')
                    ->orderByRaw('count(*) DESC, coalesce(sum(expected_gain), 0) DESC, topic')
                    ->first(['topic', DB::raw('count(*) AS keywords')]);
                $keywords = Figures::int($topic->keywords ?? 0) ?? 0;
                if ($topic !== null && ($best === null || $keywords > $best[0])) {
                    $name = (string) Figures::text($topic->topic);
                    $best = [$keywords, $domain['entry'], $name, $moved.';'.Clause::equals('topic', $name).';'.self::KEPT];
                }
            }
        }

        return $best === null ? null : Market::focus($best[1], $best[2], $isGain, $count->compared($best[3]));
    }

    /** @return list<array{entry: string, authority: ?float, ...}> the competitor of most authority */
    private function largest(Comparison $comparison): array
    {
        $theirs = \array_slice($comparison->domains, 1);
        usort($theirs, static fn(array $one, array $other): int => ($other['authority'] ?? -1.0) <=> ($one['authority'] ?? -1.0));

        return \array_slice(array_values(array_filter($theirs, static fn(array $one): bool => $one['authority'] !== null)), 0, 1);
    }
}
