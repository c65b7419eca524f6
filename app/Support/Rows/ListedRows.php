<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\FitGate;
use Illuminate\Database\Query\Builder;

/**
 * The rows of a comparison that belong on the list of opportunities, as far as their business fit lets them. `FitGate` is the rule; a
 * test holds this SQL to it.
 */
final class ListedRows
{
    public static function of(Comparison $comparison, Sentence $sentence, FitGate $gate): Builder
    {
        return (new ComparisonRows($comparison))->query($sentence)->whereRaw(self::condition($gate));
    }

    public static function condition(FitGate $gate): string
    {
        return 'is_listed'.($gate->isOpen() ? '' : ' AND '.RowCatalogue::score(Criterion::Fit->value).' >= '.$gate->smallest);
    }
}
