<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Results\Compared;
use GreaterReach\Core\Results\PageOne;

/** Chooses the tactic for an opportunity: the first rule that holds. */
final readonly class TacticRule
{
    /** Beyond this position a page of ours does not count as ranking for the choice of a tactic. */
    public const OWN_PAGE_WITHIN = 50;
    private const SLIPPED_BY = 3;

    public function __construct(
        private CtrCurve $curve,
        /** Measured CTR below this share of the curve's asks for a title test. */
        private float $titleRatio = .7,
        /** Reach below which links stand beside a tactic. */
        private float $linksBelow = .25,
    ) {
    }

    /** @param float $share of the clicks that the features of the results page leave */
    public function of(Candidate $candidate, float $share = 1.0): Tactic
    {
        $row = $candidate->row;
        $position = $row->ownPosition();

        return match (true) {
            self::hasPageConflict($row) => Tactic::MergePages,
            $position === null || ! self::isOwnPage($position) => $candidate->topicHasOwnPage ? Tactic::ExtendPage : Tactic::NewPage,
            $this->isClickedTooLittle($position, $candidate->measured, $share) => Tactic::TestTitle,
            self::hasSlipped($position, $row->previous[0]) => Tactic::RefreshPage,
            default => Tactic::ImprovePage,
        };
    }

    /** Whether at that position one of our pages can be extended for another keyword of its topic. */
    public static function isOwnPage(?int $position): bool
    {
        return $position !== null && $position <= self::OWN_PAGE_WITHIN;
    }

    /**
     * Whether one of our pages ranks near for another keyword of the topic, wherever ours is for this one.
     *
     * @param int  $inTopic for how many keywords of the topic one does, this one included
     * @param ?int $own     our position for this one, whatever counts as ranking
     */
    public static function hasPageForAnother(int $inTopic, ?int $own): bool
    {
        return $inTopic - (self::isOwnPage($own) ? 1 : 0) > 0;
    }

    /** Links stand beside a tactic when there are some to earn and the page is known not to reach far without them. */
    public function needsLinks(?int $linksToEarn, ?float $reach): bool
    {
        return $linksToEarn !== null && $linksToEarn > 0 && $reach !== null && Compared::of($reach) < $this->linksBelow;
    }

    /** Two or more of our URLs within the top 50 for one keyword in one snapshot. */
    public static function hasPageConflict(ComparisonRow $row): bool
    {
        if (\count($row->ownRankings) < 2) {
            return false;
        }
        $near = array_filter(
            $row->ownRankings,
            static fn(Ranking $ranking): bool => $ranking->url !== null && $ranking->position <= self::OWN_PAGE_WITHIN,
        );

        return \count(array_unique(array_map(static fn(Ranking $ranking): ?string => $ranking->url, $near))) > 1;
    }

    private function isClickedTooLittle(int $position, ?MeasuredClicks $measured, float $share): bool
    {
        $rate = PageOne::holds($position) ? $measured?->rate() : null;

        return $rate !== null && Compared::of($rate) < Compared::of($this->titleRatio * $share * $this->curve->at($position));
    }

    private static function hasSlipped(int $position, ?int $previous): bool
    {
        return $previous !== null && $position - $previous >= self::SLIPPED_BY;
    }
}
