<?php

declare(strict_types=1);

namespace GreaterReach\Core\Results;

/** The first page of results: positions 1 to 10 (common practice). */
final class PageOne
{
    public const LAST = 10;

    public static function holds(?int $position): bool
    {
        return $position !== null && $position <= self::LAST;
    }
}
