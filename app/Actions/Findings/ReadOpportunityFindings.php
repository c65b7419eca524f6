<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Opportunities;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Results\PageOne;

/** What could be won in a study, as findings. */
final class ReadOpportunityFindings
{
    private const KEPT = 'brands=hide;mark=kept';
    private const WEIGHED = 'mark=kept';
    private const MONTHS = [
        'January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December',
    ];

    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        $count = new CountedRows($study, $comparison);
        yield $this->gap($count);
        yield Opportunities::quickWins($count->weighed('horizon=quick win;'.self::WEIGHED));
        yield $this->weaker($study, $comparison, $count);
        yield Opportunities::conflicts($count->compared('conflict=yes;'.self::KEPT));
        yield Opportunities::titles($count->weighed('tactic='.Tactic::TestTitle->value.';'.self::WEIGHED));
        yield $this->publishBy($study, $count);
        yield $this->funnel($comparison, $count);
    }

    private function gap(CountedRows $count): ?Finding
    {
        $show = 'standing=gap;'.self::KEPT;
        $topics = $count->rows($show)->whereNotNull('topic')->groupBy('topic')->selectRaw('coalesce(sum(expected_gain), 0) AS expected')
            ->pluck('expected')->all();

        return Opportunities::gap(
            $count->compared($show),
            array_map(static fn(mixed $expected): float => Figures::float($expected) ?? 0.0, array_values($topics)),
        );
    }

    /** Of the competitors that are weaker than we are the one whose places are worth most. */
    private function weaker(Study $study, Comparison $comparison, CountedRows $count): ?Finding
    {
        $ours = $comparison->domains[0]['authority'];
        $band = $study->rulebook()->float('peer_band');
        $best = null;
        foreach ($ours === null ? [] : \array_slice($comparison->domains, 1, null, true) as $number => $domain) {
            if ($domain['authority'] !== null && $domain['authority'] < $ours - $band) {
                $held = $count->compared("p{$number}<=20;own=absent;".self::KEPT);
                $best = $best === null || $held->expectedGain > $best[2]->expectedGain
                    ? [$domain['entry'], $domain['authority'], $held]
                    : $best;
            }
        }

        return $best === null || $ours === null ? null : Opportunities::weaker($best[0], $best[1], $ours, $best[2]);
    }

    /** A new page pays in full when its ramp has passed: for which peak must it be out in this month or the next? */
    private function publishBy(Study $study, CountedRows $count): ?Finding
    {
        $now = Month::parse(now('UTC')->format('Y-m'));
        $ramp = $study->rulebook()->effort()->ramp(Tactic::NewPage);
        $best = null;
        foreach ([0, 1] as $wait) {
            $peak = $now->plus($wait + $ramp)->ofYear();
            $seasonal = $count->weighed("peak={$peak};season=seasonal;tactic=".Tactic::NewPage->value.';'.self::WEIGHED);
            if ($best === null || $seasonal->expectedGain > $best[2]->expectedGain) {
                $best = [$peak, (string) $now->plus($wait), $seasonal];
            }
        }

        return Opportunities::publishBy(self::MONTHS[$best[0] - 1], $best[1], $best[2]);
    }

    /** The stage at which we lag behind the best competitor by most. */
    private function funnel(Comparison $comparison, CountedRows $count): ?Finding
    {
        $worst = null;
        foreach (['top', 'middle', 'bottom'] as $stage) {
            [$all, $ours, $best, $number] = $this->pageOne($comparison, $count, $stage);
            if ($all > 0 && $number !== null && ($worst === null || ($best - $ours) / $all > $worst[0])) {
                $worst = [($best - $ours) / $all, $stage, $all, $ours, $best, $number];
            }
        }
        if ($worst === null) {
            return null;
        }
        [, $stage, $all, $ours, $best, $number] = $worst;
        $beyond = $count->weighed("stage={$stage};(own=absent|own>=".(PageOne::LAST + 1).');brands=hide;'.self::WEIGHED);

        return Opportunities::funnel($stage, $all, $ours, $best, $comparison->domains[$number]['entry'], $beyond);
    }

    /** @return array{int, int, int, ?int} keywords of a stage, ours on page one, the best competitor's, and its number */
    private function pageOne(Comparison $comparison, CountedRows $count, string $stage): array
    {
        $columns = ['count(*)'];
        foreach (array_keys($comparison->domains) as $number) {
            $columns[] = 'count(*) FILTER (WHERE positions['.($number + 1).'] <= '.PageOne::LAST.')';
        }
        $named = array_map(static fn(string $column, int $place): string => "{$column} AS c{$place}", $columns, array_keys($columns));
        $row = (array) $count->rows("stage={$stage};brands=hide")->selectRaw(implode(', ', $named))->sole();
        $counts = array_map(static fn(mixed $one): int => Figures::int($one) ?? 0, array_values($row));
        $theirs = \array_slice($counts, 2, null, true);
        $best = $theirs === [] ? 0 : max($theirs);

        return [$counts[0], $counts[1], $best, $theirs === [] ? null : (int) array_search($best, $theirs, true) - 1];
    }
}
