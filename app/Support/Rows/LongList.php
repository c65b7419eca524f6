<?php

declare(strict_types=1);

namespace App\Support\Rows;

/** The three lists that can be of any length, as they are asked for. */
enum LongList: string
{
    /** Keywords that the sentence lets through. */
    case Compare = 'compare';

    /** Ranked keywords. */
    case Weigh = 'weigh';

    /** Ranked pages. */
    case Pages = 'pages';

    /** @return string as a rule that a request is held to */
    public static function rule(): string
    {
        return 'in:'.implode(',', array_column(self::cases(), 'value'));
    }
}
