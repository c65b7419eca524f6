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

    /**
     * A number as PostgreSQL gives it: null for unknown, text for numeric.
     *
     * @throws \UnexpectedValueException when it is no number
     */
    public static function float(mixed $value): ?float
    {
        return $value === null ? null : (float) self::number($value);
    }

    /**
     * A whole number as PostgreSQL gives it, such as that of an aggregate.
     *
     * @throws \UnexpectedValueException when it is no number
     */
    public static function int(mixed $value): ?int
    {
        return $value === null ? null : (int) self::number($value);
    }

    /**
     * A text as PostgreSQL gives it.
     *
     * @throws \UnexpectedValueException when it is none
     */
    public static function text(mixed $value): ?string
    {
        return $value === null || \is_string($value)
            ? $value
            : throw new \UnexpectedValueException('The database gave a '.get_debug_type($value).' for a text.');
    }

    private static function number(mixed $value): int|float|string
    {
        return \is_int($value) || \is_float($value) || (\is_string($value) && is_numeric($value))
            ? $value
            : throw new \UnexpectedValueException('The database gave a '.get_debug_type($value).' for a number.');
    }

    /** @return list<?int> a PostgreSQL array of whole numbers such as `{3,NULL,12}` */
    public static function ints(string $array): array
    {
        $inner = trim($array, '{}');

        return $inner === '' ? [] : array_map(static fn(string $item): ?int => $item === 'NULL' ? null : (int) $item, explode(',', $inner));
    }
}
