<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidValue;

/** How much each criterion counts. The default looks at what can be expected first, at ease and at gain. */
final readonly class Weights
{
    public const MAX = 1000.0;

    /**
     * @var array<string, array<string, float>> name → weights; `reach` is the default, `plain` the average that is made by hand (common
     *     practice)
     */
    public const PRESETS = [
        'reach' => ['expected' => 2.0, 'worth' => 4.0, 'intent' => 1.0],
        'plain' => ['volume' => 1.0, 'ease' => 1.0, 'gain' => 1.0],
        'even' => [
            'expected' => 1.0, 'volume' => 1.0, 'ease' => 1.0, 'gain' => 1.0, 'worth' => 1.0, 'value' => 1.0, 'intent' => 1.0, 'fit' => 1.0,
        ],
        'business' => ['ease' => 1.0, 'gain' => 1.0, 'value' => 1.0, 'intent' => 2.0, 'fit' => 3.0],
        'sales' => ['ease' => 1.0, 'gain' => 1.0, 'value' => 2.0, 'intent' => 2.0],
        'swift' => ['volume' => 1.0, 'ease' => 3.0, 'gain' => 1.0],
    ];

    /** @param array<string, float> $weights criterion → weight ≥ 0, all of them */
    private function __construct(private array $weights)
    {
    }

    public const STANDARD = 'reach';

    public static function standard(): self
    {
        return self::of(self::PRESETS[self::STANDARD]);
    }

    /** @throws InvalidValue when there is no such preset */
    public static function preset(string $name): self
    {
        $weights =
            self::PRESETS[$name] ??
            throw InvalidValue::because('preset', $name, 'is unknown; known are '.implode(', ', array_keys(self::PRESETS)));

        return self::of($weights);
    }

    /**
     * Reads `volume:1,ease:2.5`; what is not named weighs 0.
     *
     * @throws InvalidValue
     */
    public static function parse(string $text): self
    {
        $weights = [];
        foreach (explode(',', $text) as $part) {
            if (preg_match('/^\s*([a-z]+)\s*:\s*(\d+(?:\.\d+)?|\.\d+)\s*$/D', $part, $match) !== 1) {
                throw InvalidValue::because('weights', $text, 'must look like volume:1,ease:1,gain:1');
            }
            if (isset($weights[$match[1]])) {
                throw InvalidValue::because('weights', $text, 'name '.$match[1].' twice');
            }
            $weights[$match[1]] = (float) $match[2];
        }

        return self::of($weights);
    }

    /**
     * @param array<string, float> $weights
     *
     * @throws InvalidValue when a criterion is unknown, a weight lies outside 0…1000, or all are 0
     */
    public static function of(array $weights): self
    {
        $unknown = array_diff(array_keys($weights), Criterion::names());
        if ($unknown !== []) {
            throw InvalidValue::because('criterion', (string) reset($unknown), 'is unknown; known are '.implode(', ', Criterion::names()));
        }
        foreach ($weights as $name => $weight) {
            if ($weight < 0 || $weight > self::MAX) {
                throw InvalidValue::because('weight of '.$name, (string) $weight, 'isn’t between 0 and 1000');
            }
        }
        if (array_sum($weights) <= 0) {
            throw InvalidValue::because('weights', self::spell($weights), 'are all zero; at least one must count');
        }

        return new self([...array_fill_keys(Criterion::names(), 0.0), ...$weights]);
    }

    /** @return array<string, float> in the order of `Criterion`, all of them */
    public function toArray(): array
    {
        return $this->weights;
    }

    /** @return list<Criterion> those that weigh anything */
    public function criteria(): array
    {
        return array_values(array_filter(Criterion::cases(), fn(Criterion $one): bool => $this->weights[$one->value] > 0));
    }

    public function __toString(): string
    {
        return self::spell(array_filter($this->weights));
    }

    /** The weighted mean of the scores that are known, 0…5; null when no criterion that counts is known. */
    public function priorityOf(Scores $scores): ?float
    {
        $sum = $weight = 0.0;
        foreach ($scores->toArray() as $name => $score) {
            if ($score !== null) {
                $sum += $this->weights[$name] * $score;
                $weight += $this->weights[$name];
            }
        }

        return $weight > 0 ? $sum / $weight : null;
    }

    /** @param array<string, float> $weights */
    private static function spell(array $weights): string
    {
        return implode(',', array_map(static fn(string $name, float $weight): string => $name.':'.$weight, array_keys($weights), $weights));
    }
}
