<?php

declare(strict_types=1);

namespace App\Support\Database;

/** Numbers as text, without loss: the shortest decimal that reads back as the same double. */
final class Figures
{
    public static function exact(float $value): string
    {
        $text = (string) json_encode($value);

        return strpbrk($text, 'eE') === false ? $text : rtrim(rtrim(sprintf('%.40F', $value), '0'), '.');
    }

    /** A number as PostgreSQL gives it: null for unknown, text for numeric. */
    public static function float(string|int|float|null $value): ?float
    {
        return $value === null ? null : (float) $value;
    }

    /** @return list<?int> a PostgreSQL array of whole numbers such as `{3,NULL,12}` */
    public static function ints(string $array): array
    {
        $inner = trim($array, '{}');

        return $inner === '' ? [] : array_map(static fn(string $item): ?int => $item === 'NULL' ? null : (int) $item, explode(',', $inner));
    }
}
