<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Results\Places;

/** Click-through rate by result position 1…100: the share of searches that end in a click there. Never rises; 0 beyond 100. */
final readonly class CtrCurve
{
    /** Share of clicks by result position, Chitika Insights 2013 (from memory). */
    private const DEFAULT_HEAD = [.325, .176, .114, .081, .061, .044, .035, .031, .026, .024, .010, .008, .007, .006, .004];

    /** Pass, Chowdhury and Torgeson, A Picture of Search, 2006 (from memory). */
    private const QUERY_LOG_2006_HEAD = [.423, .119, .084, .060, .049, .040, .034, .030, .028, .028];

    /** @param list<float> $rates 100 of them, position 1 first */
    private function __construct(private array $rates)
    {
    }

    public static function default(): self
    {
        return self::withTail(self::DEFAULT_HEAD, .004, 15);
    }

    public static function queryLog2006(): self
    {
        return self::withTail(self::QUERY_LOG_2006_HEAD, .0066, 11);
    }

    /**
     * A curve entered by hand or fitted.
     *
     * @param list<float> $rates
     *
     * @throws InvalidValue when there are not 100 rates, one lies outside 0…1, or the curve rises
     */
    public static function ofRates(array $rates): self
    {
        if (\count($rates) !== Places::WORST) {
            throw InvalidValue::because('CTR curve', (string) \count($rates), 'must have exactly 100 rates, position 1 first');
        }
        foreach ($rates as $index => $rate) {
            if ($rate < 0 || $rate > 1) {
                throw InvalidValue::because('CTR at position '.($index + 1), (string) $rate, 'isn’t between 0 and 1');
            }
            if ($index > 0 && $rate > $rates[$index - 1]) {
                throw InvalidValue::because(
                    'CTR at position '.($index + 1),
                    (string) $rate,
                    'is higher than at the position before; a curve never rises',
                );
            }
        }

        return new self($rates);
    }

    public function at(int $position): float
    {
        return $this->rates[$position - 1] ?? 0.0;
    }

    /** @return list<float> */
    public function rates(): array
    {
        return $this->rates;
    }

    /**
     * Beyond the head the rate falls with the square of the position: rate · (from ÷ p)².
     *
     * @param non-empty-list<float> $head
     */
    private static function withTail(array $head, float $rate, int $from): self
    {
        $rates = $head;
        for ($position = \count($head) + 1; $position <= Places::WORST; ++$position) {
            $rates[] = $rate * ($from / $position) ** 2;
        }

        return new self($rates);
    }

    /** @return list<float> what each place earns of the first place's clicks, the first place first; 0 for all where that earns none */
    public function besideFirst(): array
    {
        $first = $this->at(1);

        return array_map(static fn(float $rate): float => $first > 0.0 ? $rate / $first : 0.0, $this->rates());
    }
}
