<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

/** How a column's values are kept and read. */
enum ColumnType: string
{
    case Text = 'text';
    case Flag = 'flag';
    case Whole = 'whole';
    case Measure = 'measure';
    /** Whole numbers with gaps, one a domain. */
    case Places = 'places';
}
