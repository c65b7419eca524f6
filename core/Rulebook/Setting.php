<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

/**
 * One number or list that a study may change, with its default, its bounds and its meaning in words.
 *
 * @phpstan-type Value int|float|string|null|list<float>|list<string>|array<string, float>
 */
final readonly class Setting
{
    /**
     * @param int|float|string|list<float>|list<string>|array<string, float>|null $default
     * @param list<string>                                                        $choices
     */
    private function __construct(
        public string $key,
        public SettingType $type,
        public int|float|string|array|null $default,
        public ?float $min,
        public ?float $max,
        public array $choices,
        public string $meaning,
    ) {
    }

    public static function int(string $key, int $default, int $min, int $max, string $meaning): self
    {
        return new self($key, SettingType::Integer, $default, $min, $max, [], $meaning);
    }

    public static function number(string $key, ?float $default, float $min, float $max, string $meaning): self
    {
        return new self($key, SettingType::Number, $default, $min, $max, [], $meaning);
    }

    /** @param list<string> $choices */
    public static function choice(string $key, string $default, array $choices, string $meaning): self
    {
        return new self($key, SettingType::Choice, $default, null, null, $choices, $meaning);
    }

    /** @param list<float> $default */
    public static function bands(string $key, array $default, float $max, string $meaning): self
    {
        return new self($key, SettingType::Bands, $default, 0, $max, [], $meaning);
    }

    /** @param list<float> $default */
    public static function ease(string $key, array $default, string $meaning): self
    {
        return new self($key, SettingType::Ease, $default, 0, 100, [], $meaning);
    }

    /** @param list<string> $names that may be given a share; empty lets any be named */
    public static function shares(string $key, array $names, string $meaning): self
    {
        return new self($key, SettingType::Shares, [], 0, 1, $names, $meaning);
    }

    public static function curve(string $key, string $meaning): self
    {
        return new self($key, SettingType::Curve, [], 0, 1, [], $meaning);
    }

    /** @param list<string> $default */
    public static function words(string $key, array $default, string $meaning): self
    {
        return new self($key, SettingType::Words, $default, null, null, [], $meaning);
    }

    /**
     * @param list<string> $default
     * @param list<string> $choices
     */
    public static function ordering(string $key, array $default, array $choices, string $meaning): self
    {
        return new self($key, SettingType::Ordering, $default, null, null, $choices, $meaning);
    }

    public static function fits(string $key, string $meaning): self
    {
        return new self($key, SettingType::Fits, [], 0, 5, [], $meaning);
    }

    /** @param array<string, float> $default */
    public static function weights(string $key, array $default, string $meaning): self
    {
        return new self($key, SettingType::Weights, $default, 0, 1000, [], $meaning);
    }

    /** The allowed range in words. */
    public function bounds(): string
    {
        $range = $this->min === null ? '' : $this->min.' to '.number_format((float) $this->max);

        return match ($this->type) {
            SettingType::Integer => 'a whole number from '.$range,
            SettingType::Number => 'a number from '.$range.($this->default === null ? ', or empty' : ''),
            SettingType::Choice => 'one of '.implode(', ', $this->choices),
            SettingType::Bands => 'five numbers from '.$range.' in rising order',
            SettingType::Ease => 'five numbers, each above the one before and below 100',
            SettingType::Shares => ($this->choices === [] ? 'name' : implode(', ', $this->choices)).
                ':share pairs separated by commas, each share from '.$range.', or empty',
            SettingType::Curve => '100 numbers from '.$range.' that never rise, or empty',
            SettingType::Words => 'words or phrases separated by commas, or empty',
            SettingType::Ordering => 'each of '.implode(', ', $this->choices).' at most once, best first',
            SettingType::Weights => 'criterion:weight pairs, each weight from '.$range.', not all zero',
            SettingType::Fits => 'phrase:fit pairs separated by commas, each fit a whole number from '.
                $range.
                ', the first that matches holds; or empty',
        };
    }
}
