<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Results\RoundedFigure;

/** How one domain's best position for a keyword changed since its previous snapshot. */
enum Movement: string
{
    case Entered = 'entered';
    case Left = 'left';
    case Climbed = 'climbed';
    case Slipped = 'slipped';
    case Steady = 'steady';

    /**
     * Null when absent in both. Call it only where a previous snapshot exists.
     *
     * @param float $noise a change up to this share of the better position is daily jitter and counts as steady
     */
    public static function between(?int $previous, ?int $current, float $noise = 0.0): ?self
    {
        if ($previous === null) {
            return $current === null ? null : self::Entered;
        }
        if ($current === null) {
            return self::Left;
        }

        if (abs($current - $previous) <= RoundedFigure::of($noise * min($current, $previous))) {
            return self::Steady;
        }

        return $current < $previous ? self::Climbed : ($current > $previous ? self::Slipped : self::Steady);
    }
}
