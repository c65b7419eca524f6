<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** How one domain's best position for a keyword changed since its previous snapshot. */
enum Movement: string
{
    case Entered = 'entered';
    case Left = 'left';
    case Climbed = 'climbed';
    case Slipped = 'slipped';
    case Steady = 'steady';

    /** Null when absent in both. Call it only where a previous snapshot exists. */
    public static function between(?int $previous, ?int $current): ?self
    {
        if ($previous === null) {
            return $current === null ? null : self::Entered;
        }
        if ($current === null) {
            return self::Left;
        }

        return $current < $previous ? self::Climbed : ($current > $previous ? self::Slipped : self::Steady);
    }
}
