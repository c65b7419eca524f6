<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Site\UrlKey;

/**
 * Turns the cells of one row into values, or tells the first thing that is wrong with it.
 *
 * @phpstan-type Value string|int|float|bool|list<string>|null
 */
final readonly class RowParser
{
    private const UNKNOWN = ['' => true, '-' => true, '—' => true, 'n/a' => true, 'N/A' => true, 'N/a' => true, 'n/A' => true];
    private const MAX_TEXT = 2000;
    private const MAX_COUNT = 1e15;
    private const YES = ['yes', 'true', '1', 'y', 'indexable'];
    private const NO = ['no', 'false', '0', 'n', 'not indexable', 'non-indexable', 'noindex'];

    /** Fewer digits than the largest count has. */
    private const MAX_DIGITS = 15;

    private int $width;

    /** @var array<int, true> cells that hold positions and counts */
    private array $isWhole;

    public function __construct(private ColumnPlan $plan, private NumberFormat $numbers)
    {
        $this->width = \count($plan->headers);
        $this->isWhole = array_fill_keys(
            array_keys(array_filter($plan->columns, static fn(Field $field): bool => $field->type->isWhole())),
            true,
        );
    }

    /**
     * @param list<string|int|float> $cells numbers only where the file itself says that they are numbers
     *
     * @return array<string, Value>|BadCell field → value, null for unknown
     */
    public function parse(int $line, array $cells): array|BadCell
    {
        if (\count($cells) !== $this->width) {
            $cells = $this->withoutEmptyEnd($cells);
            if (\count($cells) !== $this->width) {
                return new BadCell(
                    $line,
                    '',
                    implode(', ', array_map(self::spelt(...), $cells)),
                    'has '.\count($cells).' cells where the header has '.$this->width.'.',
                );
            }
        }
        $values = [];
        foreach ($this->plan->columns as $number => $field) {
            $cell = $cells[$number];
            // Nearly every count and position is plain digits, which needs none of the rest.
            if (
                isset($this->isWhole[$number]) &&
                \is_string($cell) &&
                ctype_digit($cell) &&
                $cell[0] !== '0' &&
                \strlen($cell) <= self::MAX_DIGITS
            ) {
                $values[$field->name] = (int) $cell;
                continue;
            }
            try {
                $values[$field->name] = $this->value($field, $cell);
            } catch (InvalidValue $problem) {
                return new BadCell($line, $this->plan->headers[$number], self::spelt($cell), $problem->reason.'.');
            }
        }

        return $values;
    }

    /**
     * @param list<string|int|float> $cells
     *
     * @return list<string|int|float>
     */
    private function withoutEmptyEnd(array $cells): array
    {
        while (\count($cells) > $this->width && trim((string) end($cells)) === '') {
            array_pop($cells);
        }

        return $cells;
    }

    /**
     * @return Value
     *
     * @throws InvalidValue
     */
    private function value(Field $field, string|int|float $cell): string|int|float|bool|array|null
    {
        if (! \is_string($cell)) {
            if ($field->type->isNumeric()) {
                return $this->numeric($field, $cell);
            }
            $cell = self::spelt($cell);
        }
        if ($field->type === FieldType::Keyword && ! isset(self::UNKNOWN[$cell])) {
            return KeywordKey::of($cell);
        }
        $text = trim($cell);
        if (isset(self::UNKNOWN[$text])) {
            return $field->isRequired ? throw InvalidValue::because($field->name, $cell, 'is required but unknown') : null;
        }

        return match ($field->type) {
            FieldType::Keyword => KeywordKey::of($text),
            FieldType::Position, FieldType::Count, FieldType::Share, FieldType::Amount => $this->numeric($field, $text),
            FieldType::Url => UrlKey::of($text),
            FieldType::Date => self::day($text),
            FieldType::Channel => self::channel($text),
            FieldType::Flag => self::flag($field, $text),
            FieldType::Domain => mb_strtolower(self::text($text), 'UTF-8'),
            FieldType::Text => self::text($text),
            FieldType::BrandTerms => self::brandTerms($text),
        };
    }

    private function numeric(Field $field, string|int|float $cell): int|float
    {
        return match ($field->type) {
            FieldType::Position => $this->position($cell),
            FieldType::Count => $this->count($cell),
            FieldType::Share => $this->share($cell),
            default => $this->amount($cell),
        };
    }

    private function position(string|int|float $cell): int
    {
        $number = $this->count($cell);

        return $number >= 1 ? $number : throw InvalidValue::because('position', (string) $cell, 'isn’t 1 or more');
    }

    private function count(string|int|float $cell): int
    {
        $number = $this->read($cell, true);
        if ($number === null || floor($number) !== $number || $number > self::MAX_COUNT) {
            throw InvalidValue::because('number', (string) $cell, self::hint($cell) ?? 'isn’t a whole number, 0 or more');
        }

        return (int) $number;
    }

    private function amount(string|int|float $cell): float
    {
        return $this->read($cell, false)
            ?? throw InvalidValue::because('number', (string) $cell, self::hint($cell) ?? 'isn’t a number, 0 or more');
    }

    private function share(string|int|float $cell): float
    {
        $number = $this->read($cell, false);

        return $number !== null && $number <= 100
            ? $number
            : throw InvalidValue::because('number', (string) $cell, self::hint($cell) ?? 'isn’t a number from 0 to 100');
    }

    /** What to do about a figure that a person can read and no rule can: rounded ones, ranges and bounds. */
    private static function hint(string|int|float $cell): ?string
    {
        return match (true) {
            preg_match('/^\d[\d.,]*\s*[kmb]$/Di', (string) $cell) === 1 =>
                'is abbreviated: write it out (1.3K as 1300) or unmap the column',
            preg_match('/^\d[\d.,\s]*[-–—]\s*\d[\d.,]*$/Du', (string) $cell) === 1 =>
                'is a range: replace it with one number or unmap the column',
            preg_match('/^[<>≤≥~]\s*\d/u', (string) $cell) === 1 =>
                'is a bound: replace it with one number, leave it empty or unmap the column',
            default => null,
        };
    }

    /** A text by the number format of the file; a typed number as it is. Null when it is no number of 0 or more. */
    private function read(string|int|float $cell, bool $isWhole): ?float
    {
        if (\is_string($cell)) {
            return $this->numbers->parse($cell, $isWhole);
        }

        return is_finite((float) $cell) && $cell >= 0 ? (float) $cell : null;
    }

    /** A typed number as text, without loss and without an exponent where it is whole. */
    private static function spelt(string|int|float $cell): string
    {
        return \is_float($cell)
            ? (floor($cell) === $cell && abs($cell) < self::MAX_COUNT
                ? number_format($cell, 0, '', '')
                : (string) json_encode($cell))
            : (string) $cell;
    }

    /** @throws InvalidValue when the text is not a day of the calendar as YYYY-MM-DD */
    public static function day(string $text): string
    {
        // The calendar begins with the year one.
        $isDay =
            preg_match('/^(\d{4})-(\d{2})-(\d{2})$/D', $text, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1]);

        return $isDay ? $text : throw InvalidValue::because('date', $text, 'isn’t a day like 2026-12-31');
    }

    private static function channel(string $text): string
    {
        $channel = strtolower($text);

        return \in_array($channel, ['organic', 'paid'], true)
            ? $channel
            : throw InvalidValue::because('channel', $text, 'is neither organic nor paid');
    }

    private static function flag(Field $field, string $text): bool
    {
        $said = mb_strtolower($text, 'UTF-8');

        return \in_array($said, self::YES, true)
            || (! \in_array($said, self::NO, true) && throw InvalidValue::because($field->name, $text, 'is neither yes nor no'));
    }

    private static function text(string $text): string
    {
        return mb_strlen($text) <= self::MAX_TEXT ? $text : throw InvalidValue::because('text', $text, 'is longer than 2,000 characters');
    }

    /** @return list<string> */
    private static function brandTerms(string $text): array
    {
        $terms = array_filter(array_map(trim(...), explode(';', self::text($text))), static fn(string $term): bool => $term !== '');

        return array_values(array_unique(array_map(KeywordKey::of(...), $terms)));
    }
}
