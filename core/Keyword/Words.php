<?php

declare(strict_types=1);

namespace GreaterReach\Core\Keyword;

/** The words of a keyword: runs of letters, digits, apostrophes and combining marks. */
final class Words
{
    /** Keywords of at least this many words are the long tail, shorter ones broad themes (common practice). */
    public const LONG_TAIL_FROM = 3;

    /** Plain words with single spaces between them, which most keys are. */
    private const PLAIN = "/^[a-z0-9']++(?: [a-z0-9']++)*+$/D";

    /** @return list<string> */
    public static function of(string $key): array
    {
        if (preg_match(self::PLAIN, $key) === 1) {
            return explode(' ', $key);
        }

        return preg_split('/[^\p{L}\p{Nd}\p{M}\'’]+/u', $key, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    public static function count(string $key): int
    {
        return \count(self::of($key));
    }

    public static function isLongTail(string $key): bool
    {
        return self::count($key) >= self::LONG_TAIL_FROM;
    }
}
