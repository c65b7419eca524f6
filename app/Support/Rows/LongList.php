<?php

declare(strict_types=1);

namespace App\Support\Rows;

/** The three lists that can be of any length, as they are asked for. */
final class LongList
{
    /** Keywords that the sentence lets through. */
    public const COMPARE = 'compare';

    /** Ranked keywords. */
    public const WEIGH = 'weigh';

    /** Ranked pages. */
    public const PAGES = 'pages';

    public const ALL = [self::COMPARE, self::WEIGH, self::PAGES];
}
