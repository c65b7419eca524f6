<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/**
 * How a file writes its numbers, read from all of its numeric cells together, since one cell can rarely tell.
 *
 * `12,5` or `1.234,5` show a decimal comma; `12.5` or `1,234.5` a decimal point. Where nothing decides, `1,234` is 1234,
 * and `1.234` is 1234 in a column of whole numbers and 1.234 elsewhere. Spaces may group thousands in every format.
 */
enum NumberFormat: string
{
    case DecimalPoint = 'decimal point';
    case DecimalComma = 'decimal comma';
    case Undecided = 'undecided';

    private const SPACE = '[ \x{A0}\x{2007}\x{2009}\x{202F}]';
    private const LONGEST = 40;

    /** The usual cells, which need none of the rest. */
    private const PLAIN_WHOLE = '/^[0-9]{1,15}$/D';
    private const PLAIN_POINT = '/^[0-9]{1,15}(?:\.[0-9]{1,12})?$/D';
    private const SURELY_POINT = '/^[0-9]+\.(?:[0-9]{1,2}|[0-9]{4,12})$/D';

    /** The number a cell stands for, or null when it is none in this format. */
    public function parse(string $cell, bool $isWhole): ?float
    {
        if (preg_match($this === self::DecimalPoint ? self::PLAIN_POINT : self::PLAIN_WHOLE, $cell) === 1) {
            return (float) $cell;
        }
        if (\strlen($cell) > self::LONGEST) {
            return null;
        }
        $plain = match ($this) {
            self::DecimalPoint => self::plain($cell, ',', '.'),
            self::DecimalComma => self::plain($cell, '.', ','),
            self::Undecided => self::undecided($cell, $isWhole),
        };

        return $plain === null || \strlen($plain) > 30 ? null : (float) $plain;
    }

    /** What one numeric cell says about the format, null when it says nothing. */
    public static function shownBy(string $cell): ?self
    {
        if (! str_contains($cell, '.') && ! str_contains($cell, ',')) {
            return null;
        }
        if (preg_match(self::SURELY_POINT, $cell) === 1) {
            return self::DecimalPoint;
        }
        $asPoint = self::plain($cell, ',', '.') !== null;
        $asComma = self::plain($cell, '.', ',') !== null;

        return $asPoint === $asComma ? null : ($asPoint ? self::DecimalPoint : self::DecimalComma);
    }

    /** Where nothing decides a comma groups thousands, and a point does so only in whole-number columns. */
    private static function undecided(string $cell, bool $isWhole): ?string
    {
        $grouped = $isWhole ? self::plain($cell, '.', ',') : null;

        return $grouped !== null && ! str_contains($cell, ',') ? $grouped : self::plain($cell, ',', '.');
    }

    /** Digits with a decimal point at most, or null when the cell does not follow the format. */
    private static function plain(string $cell, string $group, string $decimal): ?string
    {
        $g = preg_quote($group, '/');
        $d = preg_quote($decimal, '/');
        $whole = '(?:[1-9][0-9]{0,2}(?:'.$g.'[0-9]{3})+|[1-9][0-9]{0,2}(?:'.self::SPACE.'[0-9]{3})+|[0-9]+|(?='.$d.'))';
        if (preg_match('/^('.$whole.')(?:'.$d.'([0-9]+))?$/uD', $cell, $match) !== 1) {
            return null;
        }
        $digits = (string) preg_replace('/[^0-9]+/', '', $match[1]);

        return ($digits === '' ? '0' : $digits).(isset($match[2]) ? '.'.$match[2] : '');
    }
}
