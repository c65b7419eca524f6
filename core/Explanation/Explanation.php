<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

/** Why a figure is what it is, in words that a screen or an export can print without knowing the rule. */
final readonly class Explanation implements \JsonSerializable
{
    /**
     * @param list<Input>  $inputs
     * @param list<string> $steps       the rule with its own numbers in it
     * @param list<string> $assumptions what was assumed rather than measured
     */
    public function __construct(
        public string $figure,
        public string $rule,
        public array $inputs,
        public array $steps,
        public array $assumptions = [],
    ) {
    }

    /** @return array{figure: string, rule: string, inputs: list<Input>, steps: list<string>, assumptions: list<string>} */
    public function jsonSerialize(): array
    {
        return [
            'figure' => $this->figure,
            'rule' => $this->rule,
            'inputs' => $this->inputs,
            'steps' => $this->steps,
            'assumptions' => $this->assumptions,
        ];
    }

    /** A share as a person reads it. */
    public static function percent(?float $share): string
    {
        return $share === null ? 'unknown' : self::number(100 * $share).'%';
    }

    /** A number as a person reads it: at most four significant figures. */
    public static function number(int|float|null $value): string
    {
        if ($value === null) {
            return 'unknown';
        }
        if (\is_int($value) || abs($value) >= 1000) {
            return number_format($value);
        }
        $digits = $value === 0.0 ? 0 : max(0, 3 - (int) floor(log10(abs($value))));

        return rtrim(rtrim(number_format($value, min(6, $digits), '.', ''), '0'), '.') ?: '0';
    }
}
