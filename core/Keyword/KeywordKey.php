<?php

declare(strict_types=1);

namespace GreaterReach\Core\Keyword;

use GreaterReach\Core\Exception\InvalidValue;

/**
 * The one form under which a keyword is matched everywhere: `“Bee  Hives ”` and `bee hives` are the same key.
 *
 * Steps, in this order: Unicode NFKC; zero-width space, word joiner, byte order mark and soft hyphen dropped; runs of
 * white space to one space, trimmed; lower case (full Unicode mapping); one pair of surrounding quotes stripped and
 * trimmed again. Accents and punctuation stay. Keys are ordered by code point, which for UTF-8 is the order of bytes.
 */
final class KeywordKey
{
    public const MAX_CODE_POINTS = 400;

    private const PLAIN = '/^[a-z0-9][!-@\[-~]*+(?: [!-@\[-~]++)*+$/D';

    private const QUOTE_PAIRS = ['"' => '"', "'" => "'", '“' => '”', '‘' => '’'];

    /** @throws InvalidValue when nothing is left, or more than 400 code points are */
    public static function of(string $raw): string
    {
        // Most keywords are plain: lower-case ASCII, single spaces, no quote at the beginning.
        if (\strlen($raw) <= self::MAX_CODE_POINTS && preg_match(self::PLAIN, $raw) === 1) {
            return $raw;
        }
        $key = self::stripQuotes(self::isPlainAscii($raw) ? strtolower($raw) : self::fold($raw));
        if ($key === '') {
            throw InvalidValue::because('keyword', $raw, 'is empty');
        }
        if (\strlen($key) > self::MAX_CODE_POINTS && mb_strlen($key, 'UTF-8') > self::MAX_CODE_POINTS) {
            throw InvalidValue::because('keyword', $raw, 'is longer than 400 characters');
        }

        return $key;
    }

    /** Printable ASCII with single inner spaces needs none of the Unicode steps; most keywords are like this. */
    private static function isPlainAscii(string $raw): bool
    {
        return preg_match('/^[\x21-\x7e]+(?: [\x21-\x7e]+)*$/D', $raw) === 1;
    }

    private static function fold(string $raw): string
    {
        $composed = \Normalizer::normalize($raw, \Normalizer::FORM_KC);
        if (! \is_string($composed)) {
            throw InvalidValue::because('keyword', $raw, 'is not valid UTF-8');
        }
        $visible = str_replace(["\u{200B}", "\u{2060}", "\u{FEFF}", "\u{00AD}"], '', $composed);
        $spaced = trim(preg_replace('/[\s\x{85}\p{Z}]+/u', ' ', $visible) ?? '', ' ');

        return self::lower($spaced);
    }

    /** Full lower-casing. The capital sigma depends on its neighbours, which only ICU's mapping knows. */
    private static function lower(string $text): string
    {
        if (str_contains($text, 'Σ')) {
            return (string) \Transliterator::create('Any-Lower')?->transliterate($text);
        }

        return mb_strtolower($text, 'UTF-8');
    }

    private static function stripQuotes(string $text): string
    {
        foreach (self::QUOTE_PAIRS as $open => $close) {
            $long = \strlen($text) >= \strlen($open) + \strlen($close);
            if ($long && str_starts_with($text, $open) && str_ends_with($text, $close)) {
                return trim(substr($text, \strlen($open), -\strlen($close)), ' ');
            }
        }

        return $text;
    }
}
