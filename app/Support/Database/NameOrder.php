<?php

declare(strict_types=1);

namespace App\Support\Database;

/** The order of names of a kind as their enum has them, rather than by their letters. */
final class NameOrder
{
    /**
     * @param list<\BackedEnum> $names  in their order
     * @param string            $column as SQL
     */
    public static function sql(array $names, string $column): string
    {
        return "array_position(ARRAY['".implode("', '", array_column($names, 'value'))."'], {$column})";
    }
}
