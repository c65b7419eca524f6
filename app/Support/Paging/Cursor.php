<?php

declare(strict_types=1);

namespace App\Support\Paging;

use App\Exceptions\InvalidReference;

/** Where a page of a list ended, as a text that a client hands back to get the next one. */
final class Cursor
{
    /** @param list<string|int|float|null> $place values of the last row that the order goes by */
    public static function write(array $place): string
    {
        return base64_encode(json_encode($place, JSON_THROW_ON_ERROR));
    }

    /**
     * @param int $values how many values the order goes by, the last of them a text or a whole number
     *
     * @return ?list<string|int|float|null> null at the beginning
     *
     * @throws InvalidReference when no list gave it
     */
    public static function read(?string $text, int $values): ?array
    {
        if ($text === null || $text === '') {
            return null;
        }
        $place = json_decode((string) base64_decode($text, true), true);
        $isPlace = \is_array($place) && array_is_list($place) && \count($place) === $values
            && array_filter($place, static fn(mixed $value): bool => $value !== null && ! \is_scalar($value)) === []
            && (\is_string(end($place)) || \is_int(end($place)));

        /** @var list<string|int|float|null> */
        return $isPlace ? $place : throw InvalidReference::cursor();
    }
}
