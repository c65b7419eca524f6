<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/**
 * Tells keywords that are rarely worth a page: codes and model numbers, and those that look for a place rather than an answer. Common
 * practice.
 */
final class Noise
{
    private const FEWEST_DIGITS = 4;
    private const GROUP = '/^\d{3,}$/D';
    private const YEAR = '/^(?:19|20)\d\d$/D';
    private const THOUSANDS = '000';

    /** Words by which people look for a certain site or desk. */
    private const NAVIGATIONAL = [
        'login' => true,
        'log' => true,
        'signin' => true,
        'contact' => true,
        'contacts' => true,
        'website' => true,
        'address' => true,
        'phone' => true,
        'telephone' => true,
        'email' => true,
        'careers' => true,
        'jobs' => true,
        'account' => true,
        'customer' => true,
        'helpline' => true,
        'opening' => true,
    ];

    /**
     * A word of letters and digits mixed, or of four digits and more that is no year; or two such groups of three digits and more side by
     * side, as in 340-020, unless they are one large number.
     *
     * @param list<string> $words of a keyword
     */
    public static function isCode(array $words): bool
    {
        foreach ($words as $place => $word) {
            if (strpbrk($word, '0123456789') === false) {
                continue;
            }
            $digits = preg_match_all('/\d/', $word);
            $isMixed = $digits >= 2 && preg_match('/\pL/u', $word) === 1;
            $isLong = $digits >= self::FEWEST_DIGITS && $digits === \strlen($word) && preg_match(self::YEAR, $word) !== 1;
            if ($isMixed || $isLong || self::isGroup($word, $words[$place + 1] ?? '')) {
                return true;
            }
        }

        return false;
    }

    private static function isGroup(string $word, string $next): bool
    {
        return preg_match(self::GROUP, $word) === 1 && preg_match(self::GROUP, $next) === 1 && $next !== self::THOUSANDS
            && preg_match(self::YEAR, $word) !== 1 && preg_match(self::YEAR, $next) !== 1;
    }

    /** @param list<string> $words of a keyword */
    public static function isNavigational(array $words): bool
    {
        foreach ($words as $word) {
            if (isset(self::NAVIGATIONAL[$word])) {
                return true;
            }
        }

        return false;
    }
}
