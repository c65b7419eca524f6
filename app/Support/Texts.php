<?php

declare(strict_types=1);

namespace App\Support;

/** Lists of texts as they come from outside, where a number may stand for a text. */
final class Texts
{
    /**
     * @template Key of array-key
     *
     * @param array<Key, mixed> $values that were found to be texts or numbers
     *
     * @return array<Key, string> anything else is left empty
     */
    public static function of(array $values): array
    {
        return array_map(static fn(mixed $value): string => \is_scalar($value) ? (string) $value : '', $values);
    }

    /**
     * @param array<mixed> $values as of() takes them
     *
     * @return list<string>
     */
    public static function list(array $values): array
    {
        return array_values(self::of($values));
    }
}
