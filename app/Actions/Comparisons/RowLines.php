<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\CopyWriter;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Noise;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\TacticRule;

/** The rows of one comparison, weighed or not, as COPY reads them. */
final readonly class RowLines
{
    private const COMPARED = [
        'study_id', 'comparison_id', 'keyword', 'standing', 'own_position', 'own_url', 'best_competitor', 'best_position', 'competitors_ranking',
        'competitors_above', 'positions', 'previous', 'presence', 'movement', 'page_conflict', 'volume', 'volume_derived', 'difficulty', 'cpc',
        'advertiser_competition', 'words', 'brands', 'is_listed', 'season', 'peak', 'is_code', 'is_navigational',
        'competitors_in_10', 'competitors_in_20', 'competitors_in_50',
    ];
    private const WEIGHED = [
        'intent', 'topic', 'topic_found', 'target', 'visits_now', 'potential', 'gain', 'win_chance', 'expected_gain', 'horizon', 'tactic', 'links_to_earn',
        'score_volume', 'score_ease', 'score_gain', 'score_value', 'score_intent', 'score_fit',
    ];

    public function __construct(private int $study, private int $comparison)
    {
    }

    /** @return list<string> in the order of the lines */
    public static function columns(): array
    {
        return [...self::COMPARED, ...self::WEIGHED];
    }

    /** @param ?string $found the topic that was found, whatever a person chose */
    public function weighed(Opportunity $opportunity, ?string $found): string
    {
        $clicks = $opportunity->clicks;
        return CopyWriter::line([
            ...$this->cells($opportunity->candidate->row, $opportunity->candidate->metrics, $opportunity->brands, $opportunity->isListed),
            $opportunity->intent->value, $opportunity->candidate->topic, $found, $clicks->target, $clicks->visitsNow, $clicks->potential, $clicks->gain,
            $opportunity->winChance, $opportunity->expectedGain, $opportunity->horizon?->value, $opportunity->tacticLabel(), $opportunity->linksToEarn,
            ...array_values($opportunity->scores->toArray()),
        ]);
    }

    /** A row that is compared but not weighed, as in the paid channel. */
    public function compared(ComparisonRow $row, Metrics $metrics, int $brands): string
    {
        return CopyWriter::line([...$this->cells($row, $metrics, $brands, false), ...array_fill(0, \count(self::WEIGHED), null)]);
    }

    /** @return list<mixed> */
    private function cells(ComparisonRow $row, Metrics $metrics, int $brands, bool $isListed): array
    {
        $words = Words::of($row->keyword);
        $season = $metrics->hasWholeYear() ? Season::of($metrics) : null;

        return [
            $this->study, $this->comparison, $row->keyword, $row->standing->value, $row->ownPosition(), $row->ownUrl(), $row->bestCompetitor, $row->bestPosition,
            $row->competitorsRanking, $row->competitorsAbove, $row->positions, $row->previous, $row->presence, $row->movement?->value,
            TacticRule::hasPageConflict($row), $metrics->volume, $metrics->volumeIsDerived, $metrics->difficulty, $metrics->cpc,
            $metrics->advertiserCompetition, \count($words), $brands, $isListed,
            $season === null ? null : ($season->isSeasonal() ? 'seasonal' : 'steady'), $season?->peak(), Noise::isCode($words), Noise::isNavigational($words),
            $row->competitorsIn(10), $row->competitorsIn(20), $row->competitorsIn(50),
        ];
    }
}
