<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Support\Catalogue\CatalogueEntry;
use App\Support\Catalogue\ColumnType;
use Illuminate\Database\Query\Builder;

/**
 * A number beside a column. Columns of whole numbers are asked for whole numbers, so that any bound is understood and an index still
 * helps.
 */
final class NumberClauses
{
    /** @throws SentenceProblem when the value is no number */
    public static function of(Builder $rows, CatalogueEntry $column, Clause $clause): Builder
    {
        return $column->type === ColumnType::Whole
            ? self::whole($rows, $column->name, $clause)
            : self::measured($rows, $column->name, $clause);
    }

    /** @throws SentenceProblem when the value is no number */
    public static function whole(Builder $rows, string $column, Clause $clause): Builder
    {
        $number = $clause->number();
        if ($clause->operator === '=' && floor($number) !== $number) {
            return $rows->whereRaw('false');
        }

        return $rows->whereRaw("{$column} {$clause->operator} ?::bigint", [
            (int) ($clause->operator === '>=' ? ceil($number) : floor($number)),
        ]);
    }

    /** @throws SentenceProblem when the value is no number */
    public static function measured(Builder $rows, string $column, Clause $clause): Builder
    {
        return $rows->whereRaw("{$column} {$clause->operator} ?", [$clause->number()]);
    }
}
