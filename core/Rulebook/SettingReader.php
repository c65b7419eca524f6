<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Priority\Bands;
use GreaterReach\Core\Priority\Weights;

/**
 * Reads the text of one setting.
 *
 * @internal
 */
final class SettingReader
{
    /**
     * @return int|float|string|list<float>|list<string>|array<string, float>|null
     *
     * @throws InvalidValue naming the key and its allowed range
     */
    public static function read(Setting $setting, string $text): int|float|string|array|null
    {
        $trimmed = trim($text);

        return match ($setting->type) {
            SettingType::Integer => self::integer($setting, $trimmed),
            SettingType::Number => $trimmed === '' && $setting->default === null ? null : self::number($setting, $trimmed),
            SettingType::Choice => \in_array($trimmed, $setting->choices, true) ? $trimmed : throw self::refused($setting, $text),
            SettingType::Bands => self::bands($setting, $trimmed),
            SettingType::Ease => self::ease($setting, $trimmed),
            SettingType::Shares => self::shares($setting, $trimmed),
            SettingType::Curve => $trimmed === '' ? [] : CtrCurve::ofRates(self::numbers($setting, $trimmed))->rates(),
            SettingType::Words => array_map(KeywordKey::of(...), self::parts($trimmed)),
            SettingType::Ordering => self::ordering($setting, $trimmed),
            SettingType::Weights => array_filter(Weights::parse($trimmed)->toArray()),
            SettingType::Fits => self::fits($setting, $trimmed),
        };
    }

    private static function integer(Setting $setting, string $text): int
    {
        if (preg_match('/^\d{1,10}$/D', $text) !== 1) {
            throw self::refused($setting, $text);
        }

        return (int) self::number($setting, $text);
    }

    private static function number(Setting $setting, string $text): float
    {
        if (preg_match('/^(\d{1,15}(?:\.\d{1,20})?|\.\d{1,20})(\s*%)?$/D', $text, $match) !== 1) {
            throw self::refused($setting, $text);
        }
        $number = isset($match[2]) ? (float) $match[1] / 100 : (float) $match[1];
        if ($number < $setting->min || $number > $setting->max) {
            throw self::refused($setting, $text);
        }

        return $number;
    }

    /** @return list<float> */
    private static function bands(Setting $setting, string $text): array
    {
        $numbers = self::numbers($setting, $text);
        try {
            return Bands::of($numbers)->bounds();
        } catch (InvalidValue) {
            throw self::refused($setting, $text);
        }
    }

    /** @return list<float> */
    private static function ease(Setting $setting, string $text): array
    {
        $numbers = self::numbers($setting, $text);
        try {
            return Bands::ofEase($numbers)->bounds();
        } catch (InvalidValue) {
            throw self::refused($setting, $text);
        }
    }

    /** @return array<string, float> name in lower case → share */
    private static function shares(Setting $setting, string $text): array
    {
        $shares = [];
        foreach (self::parts($text) as $part) {
            if (preg_match('/^([^:]+):([^:]+)$/Du', $part, $match) !== 1) {
                throw self::refused($setting, $text);
            }
            $name = mb_strtolower(trim($match[1]));
            if ($name === '' || isset($shares[$name]) || ($setting->choices !== [] && ! \in_array($name, $setting->choices, true))) {
                throw self::refused($setting, $text);
            }
            $shares[$name] = self::number($setting, trim($match[2]));
        }

        return $shares;
    }

    /** @return list<float> */
    private static function numbers(Setting $setting, string $text): array
    {
        return array_map(static fn(string $part): float => self::number($setting, $part), self::parts($text));
    }

    /** @return list<string> */
    private static function ordering(Setting $setting, string $text): array
    {
        $parts = self::parts($text);
        if (
            ($parts === [] && $setting->default !== []) ||
            array_diff($parts, $setting->choices) !== [] ||
            \count(array_unique($parts)) !== \count($parts)
        ) {
            throw self::refused($setting, $text);
        }

        return $parts;
    }

    /** @return array<string, float> phrase → fit, in the order given; of a phrase given twice the first holds */
    private static function fits(Setting $setting, string $text): array
    {
        $fits = [];
        foreach (self::parts($text) as $part) {
            if (preg_match('/^(.+):\s*([0-5])$/Du', $part, $match) !== 1 || Words::of(KeywordKey::of($match[1])) === []) {
                throw self::refused($setting, $text);
            }
            $fits[KeywordKey::of($match[1])] ??= (float) $match[2];
        }

        return $fits;
    }

    /** @return list<string> */
    private static function parts(string $text): array
    {
        return array_values(array_filter(array_map(trim(...), explode(',', $text)), static fn(string $part): bool => $part !== ''));
    }

    private static function refused(Setting $setting, string $text): InvalidValue
    {
        return InvalidValue::because($setting->key, $text, 'is not allowed; give '.$setting->bounds());
    }
}
