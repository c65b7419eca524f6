<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Findings\Counted;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Opportunities;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Results\PageOne;

/** What could be won in a study, as findings. */
final class OpportunityFindingsQuery
{
    private const KEPT = 'brands=hide;mark=kept';
    private const GAP = 'standing=gap;'.self::KEPT;
    private const STAGES = ['top', 'middle', 'bottom'];
    private const WEIGHED = 'mark=kept';
    private const MONTHS = [
        'January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December',
    ];

    /** @return \Generator<int, ?Finding> */
    public function execute(Study $study, Comparison $comparison): \Generator
    {
        $count = new CountedRows($study, $comparison);
        $weaker = self::weakerOnes($study, $comparison);
        $peaks = self::peaks($study);
        $counted = $count->all(
            [
                'gap' => self::GAP,
                'conflicts' => 'conflict=yes;'.self::KEPT,
                ...self::named('held', array_map(static fn(int $one): string => "p{$one}<=20;own=absent;".self::KEPT, $weaker)),
            ],
            [
                'quick wins' => 'horizon=quick win;'.self::WEIGHED,
                'titles' => 'tactic='.Tactic::TestTitle->value.';'.self::WEIGHED,
                ...self::named('peak', array_map(self::seasonal(...), $peaks)),
            ],
        );
        yield $this->gap($count, $counted['gap']);
        yield Opportunities::quickWins($counted['quick wins']);
        yield $this->weaker($comparison, $weaker, $counted);
        yield Opportunities::conflicts($counted['conflicts']);
        yield Opportunities::titles($counted['titles']);
        yield $this->publishBy($peaks, $counted);
        yield $this->funnel($comparison, $count);
    }

    /**
     * @param list<string> $shows
     *
     * @return array<string, string> under names that end with their numbers
     */
    private static function named(string $name, array $shows): array
    {
        $named = [];
        foreach ($shows as $number => $show) {
            $named["{$name} {$number}"] = $show;
        }

        return $named;
    }

    private function gap(CountedRows $count, Counted $gaps): ?Finding
    {
        $topics = $count->rows(self::GAP)->whereNotNull('topic')->groupBy('topic')
            ->selectRaw('coalesce(sum(expected_gain), 0) AS expected')->pluck('expected')->all();

        return Opportunities::gap(
            $gaps,
            array_map(static fn(mixed $expected): float => Figures::float($expected) ?? 0.0, array_values($topics)),
        );
    }

    /** @return list<int> numbers of the competitors that are weaker than we are */
    private static function weakerOnes(Study $study, Comparison $comparison): array
    {
        $ours = $comparison->domains[0]['authority'];
        $band = $study->rulebook()->float('peer_band');
        $weaker = array_filter(
            $ours === null ? [] : \array_slice($comparison->domains, 1, null, true),
            static fn(array $domain): bool => $domain['authority'] !== null && $domain['authority'] < $ours - $band,
        );

        return array_keys($weaker);
    }

    /**
     * Of the competitors that are weaker than we are the one whose places are worth most.
     *
     * @param list<int>              $weaker
     * @param array<string, Counted> $counted
     */
    private function weaker(Comparison $comparison, array $weaker, array $counted): ?Finding
    {
        $best = null;
        foreach ($weaker as $place => $number) {
            $held = $counted["held {$place}"];
            if ($best === null || $held->expectedGain > $best[1]->expectedGain) {
                $best = [$comparison->domains[$number], $held];
            }
        }
        $ours = $comparison->domains[0]['authority'];

        return $best === null || $ours === null
            ? null
            : Opportunities::weaker($best[0]['entry'], $best[0]['authority'] ?? 0.0, $ours, $best[1]);
    }

    /**
     * A new page pays in full when its ramp has passed: for which peak must it be out in this month or the next?
     *
     * @return list<Month> the peaks, this month's first
     */
    private static function peaks(Study $study): array
    {
        $now = Month::parse(now('UTC')->format('Y-m'));
        $ramp = $study->rulebook()->effort()->ramp(Tactic::NewPage);

        return [$now->plus($ramp), $now->plus(1 + $ramp)];
    }

    private static function seasonal(Month $peak): string
    {
        return "peak={$peak->ofYear()};season=seasonal;tactic=".Tactic::NewPage->value.';'.self::WEIGHED;
    }

    /**
     * @param list<Month>            $peaks
     * @param array<string, Counted> $counted
     */
    private function publishBy(array $peaks, array $counted): ?Finding
    {
        $isLater = $counted['peak 1']->expectedGain > $counted['peak 0']->expectedGain;
        $publish = Month::parse(now('UTC')->format('Y-m'))->plus($isLater ? 1 : 0);

        return Opportunities::publishBy(
            self::MONTHS[$peaks[$isLater ? 1 : 0]->ofYear() - 1],
            (string) $publish,
            $counted[$isLater ? 'peak 1' : 'peak 0'],
        );
    }

    /** The stage at which we lag behind the best competitor by most. */
    private function funnel(Comparison $comparison, CountedRows $count): ?Finding
    {
        $worst = null;
        foreach ($this->pageOne($comparison, $count) as $stage => [$all, $ours, $best, $number]) {
            if ($all > 0 && $number !== null && ($worst === null || ($best - $ours) / $all > $worst[0])) {
                $worst = [($best - $ours) / $all, $stage, $all, $ours, $best, $number];
            }
        }
        if ($worst === null) {
            return null;
        }
        [, $stage, $all, $ours, $best, $number] = $worst;
        $beyond = "stage={$stage};(own=absent|own>=".(PageOne::LAST + 1).');brands=hide;'.self::WEIGHED;

        return Opportunities::funnel(
            $stage,
            $all,
            $ours,
            $best,
            $comparison->domains[$number]['entry'],
            $count->all([], ['beyond' => $beyond])['beyond'],
        );
    }

    /** @return array<string, array{int, int, int, ?int}> stage → its keywords, ours on page one, the best competitor's, and its number */
    private function pageOne(Comparison $comparison, CountedRows $count): array
    {
        $columns = [];
        foreach (self::STAGES as $stage => $_) {
            $columns[] = "count(*) FILTER (WHERE fits_{$stage}) AS of_{$stage}";
            foreach (array_keys($comparison->domains) as $domain) {
                $onPage = "fits_{$stage} AND positions[".($domain + 1).'] <= '.PageOne::LAST;
                $columns[] = "count(*) FILTER (WHERE {$onPage}) AS first_{$stage}_{$domain}";
            }
        }
        $shows = array_map(static fn(string $stage): string => "stage={$stage};brands=hide", self::STAGES);
        $row = array_map(
            static fn(mixed $one): int => Figures::int($one) ?? 0,
            (array) $count->fitting($shows)->selectRaw(implode(', ', $columns))->sole(),
        );
        $stages = [];
        foreach (self::STAGES as $number => $stage) {
            $theirs = [];
            foreach (array_keys(\array_slice($comparison->domains, 1, null, true)) as $domain) {
                $theirs[$domain] = $row["first_{$number}_{$domain}"];
            }
            $best = $theirs === [] ? 0 : max($theirs);
            $domain = array_search($best, $theirs, true);
            $stages[$stage] = [$row["of_{$number}"], $row["first_{$number}_0"], $best, $domain === false ? null : $domain];
        }

        return $stages;
    }
}
