<?php

declare(strict_types=1);

namespace GreaterReach\Core\Results;

/** A computed figure where it decides an order or is held against a bound: what differs in the tenth decimal is alike. */
final class RoundedFigure
{
    public const DECIMALS = 9;

    public static function of(float $figure): float
    {
        return round($figure, self::DECIMALS);
    }
}
