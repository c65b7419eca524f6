<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\Places;

/** The classes of places that the position model tells apart: 1 | 2–3 | 4–5 | 6–10 | 11–20 | 21–50 | 51–100 | absent. */
final class PlaceClass
{
    /** @var list<int> the worst place of every class but the last */
    public const BOUNDS = [1, 3, 5, 10, 20, 50, Places::WORST];
    public const COUNT = 8;
    public const ABSENT = 7;

    /** Number of the class, 0 the best. */
    public static function of(?int $position): int
    {
        if ($position === null) {
            return self::ABSENT;
        }
        foreach (self::BOUNDS as $class => $bound) {
            if ($position <= $bound) {
                return $class;
            }
        }

        return self::ABSENT;
    }

    /** @return list<string> `1`, `2–3` … `absent` */
    public static function names(): array
    {
        $names = [];
        $before = 0;
        foreach (self::BOUNDS as $bound) {
            $names[] = $bound === $before + 1 ? (string) $bound : ($before + 1).'–'.$bound;
            $before = $bound;
        }

        return [...$names, 'absent'];
    }
}
