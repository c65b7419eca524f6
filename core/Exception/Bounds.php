<?php

declare(strict_types=1);

namespace GreaterReach\Core\Exception;

/** Whether figures lie where they can; what is unknown lies anywhere. */
final class Bounds
{
    public static function hold(float $least, float $most, int|float|null ...$figures): bool
    {
        foreach ($figures as $figure) {
            if ($figure !== null && ($figure < $least || $figure > $most)) {
                return false;
            }
        }

        return true;
    }
}
