<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Str;

/** A number and what it counts, as one writes it: 1 keyword, 2 keywords, 0 keywords. */
final class Counted
{
    /** @param string $one what one of them is called, such as `keyword` */
    public static function of(int $count, string $one): string
    {
        return $count.' '.Str::plural($one, $count);
    }
}
