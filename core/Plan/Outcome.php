<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** What came of an item that is done: the visits of the newest snapshot against its forecast band. */
enum Outcome: string
{
    case Above = 'above';
    case Inside = 'inside';
    case Below = 'below';
    case TooEarly = 'too early';

    /**
     * @param float $visits visits it has added by now, a month
     * @param Month $done   the month at whose end it was done
     * @param Month $now    the newest snapshot's
     * @param int   $ramp   months until it pays in full
     */
    public static function of(float $visits, Band $band, Month $done, Month $now, int $ramp): self
    {
        if (! self::isRipe($done, $now, $ramp)) {
            return self::TooEarly;
        }

        return $visits > $band->p90 ? self::Above : ($visits < $band->p10 ? self::Below : self::Inside);
    }

    /** Whether its ramp has passed by the newest snapshot. */
    public static function isRipe(Month $done, Month $now, int $ramp): bool
    {
        return $done->until($now) >= $ramp;
    }
}
