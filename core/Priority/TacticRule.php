<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Results\RoundedFigure;

/** Chooses the tactic for an opportunity, title tests aside: the first rule that holds. */
final readonly class TacticRule
{
    /** Beyond this position an own page does not count as ranking for the choice of a tactic. */
    public const OWN_PAGE_WITHIN = 50;
    private const SLIPPED_BY = 3;

    public function __construct(
        /** Reach below which links stand beside a tactic. */
        private float $linksBelow = .25,
    ) {
    }

    public function of(Candidate $candidate): Tactic
    {
        $position = $candidate->row->ownPosition();

        return match (true) {
            ! $candidate->hasPage => Tactic::NewPage,
            $candidate->hasPageConflict => Tactic::MergePages,
            $position === null || ! self::isOwnPage($position) => Tactic::ExtendPage,
            self::hasSlipped($position, $candidate->row->previous[0] ?? null, $candidate->row->movement) => Tactic::RefreshPage,
            default => Tactic::ImprovePage,
        };
    }

    /** Whether a page at that position can be improved where it is. */
    public static function isOwnPage(?int $position): bool
    {
        return $position !== null && $position <= self::OWN_PAGE_WITHIN;
    }

    /** Links stand beside a tactic when there are some to earn and the page is known not to reach far without them. */
    public function label(Tactic $tactic, ?int $linksToEarn, ?float $reach): TacticLabel
    {
        $takesLinks = \in_array($tactic, [Tactic::ImprovePage, Tactic::ExtendPage, Tactic::NewPage], true);
        $needsLinks = $linksToEarn !== null && $linksToEarn > 0 && $reach !== null && RoundedFigure::of($reach) < $this->linksBelow;

        return TacticLabel::of($tactic, $takesLinks && $needsLinks);
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

    private static function hasSlipped(int $position, ?int $previous, ?Movement $movement): bool
    {
        return $movement === Movement::Slipped && $previous !== null && $position - $previous >= self::SLIPPED_BY;
    }
}
