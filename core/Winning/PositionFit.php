<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\ProportionalOdds;

/**
 * The chance that a domain stands at a place or better, F(c) = 1 ÷ (1 + exp(−(α_c + β·x))), as one fit of it: learnt from rows, or
 * assumed where they are too few.
 *
 * @phpstan-type KeptFit array{alphas: list<float|string>, betas: array<string, ?float>, rows: int, assumed: bool, odd: list<string>,
 *     ranges: array<string, array{float, float}>}
 */
final readonly class PositionFit
{
    public const FEWEST_ROWS = 200;
    private const ASSUMED_SPREAD = 8.0;

    /** Beside (comfort − difficulty) ÷ 8, of the assumed line. */
    private const ASSUMED_ALPHAS = [-2.9, -1.7, -1.05, 0.0, 0.95, 1.9, 2.3];

    /**
     * @param list<float>           $alphas of the seven bounds, never falling; −∞ where no class up to it has a row, ∞ where none beyond
     * @param array<string, ?float> $betas  feature → slope on its own scale, null where it was left out
     * @param list<PositionFeature> $odd    left out for a slope against their meaning
     * @param array<string, array{float, float}> $ranges feature → the least and the most of it that was seen, on the scale of its slope
     */
    private function __construct(
        public array $alphas,
        public array $betas,
        public int $rows,
        public bool $isAssumed,
        public array $odd,
        public array $ranges = [],
    ) {
    }

    /**
     * @param ?int  $without fold that is left out
     * @param float $lambda  weight of the penalty on the standardised slopes
     * @param ?self $like    a fit of nearly the same rows, to begin from
     */
    public static function of(
        PositionGroups $groups,
        ?int $without,
        float $lambda,
        ComfortDifficulty $comfort,
        ?self $like = null,
    ): self {
        $byClass = $groups->rowsByClass($without);
        $all = array_sum($byClass);
        $classes = array_keys(array_filter($byClass));
        if ($all < self::FEWEST_ROWS || \count($classes) < 2) {
            return self::assumed($comfort, $all);
        }
        $rows = PositionRows::of($groups, $without, $classes);
        $scales = $rows->scales();
        $odd = [];
        do {
            $fit = self::fit($rows, $scales, $classes, $lambda, $like);
            $wrong = array_filter(
                PositionFeature::cases(),
                static fn(PositionFeature $one): bool => $one->isAgainstItsMeaning($fit->betas[$one->value] ?? 0.0),
            );
            array_push($odd, ...$wrong);
            $scales = array_diff_key($scales, array_flip(array_column($wrong, 'value')));
        } while ($wrong !== []);
        $isOdd = static fn(PositionFeature $one): bool => \in_array($one, $odd, true);
        $inOrder = array_values(array_filter(PositionFeature::cases(), $isOdd));

        return new self($fit->alphas, $fit->betas, $all, false, $inOrder, $rows->ranges());
    }

    /** @return KeptFit */
    public function toArray(): array
    {
        return [
            'alphas' => array_map(self::spell(...), $this->alphas),
            'betas' => $this->betas,
            'rows' => $this->rows,
            'assumed' => $this->isAssumed,
            'odd' => array_column($this->odd, 'value'),
            'ranges' => $this->ranges,
        ];
    }

    /** A threshold as JSON can hold it, which knows nothing infinite. */
    public static function spell(float $alpha): float|string
    {
        return is_finite($alpha) ? $alpha : ($alpha > 0 ? 'inf' : '-inf');
    }

    /** @param KeptFit $kept */
    public static function fromArray(array $kept): self
    {
        return new self(
            array_map(static fn(int|float|string $alpha): float => match ($alpha) {
                'inf' => INF,
                '-inf' => -INF,
                default => (float) $alpha,
            }, $kept['alphas']),
            array_map(static fn(int|float|null $beta): ?float => $beta === null ? null : (float) $beta, $kept['betas']),
            $kept['rows'],
            $kept['assumed'],
            array_map(PositionFeature::from(...), $kept['odd']),
            array_map(static fn(array $range): array => [(float) $range[0], (float) $range[1]], $kept['ranges']),
        );
    }

    /**
     * @param float $score as score() gives it
     * @param float $shift of the logarithm of the odds
     */
    public function chances(float $score, float $shift = 0.0): PlaceChances
    {
        $upTo = [];
        foreach ($this->alphas as $alpha) {
            $upTo[] = ProportionalOdds::sigmoid($alpha + $score + $shift);
        }

        return new PlaceChances($upTo);
    }

    /**
     * @param int   $class number of a bound
     * @param float $score β·x
     */
    public function chanceUpTo(int $class, float $score): float
    {
        return ProportionalOdds::sigmoid($this->alphas[$class] + $score);
    }

    /** By how much a step of a feature multiplies the odds to stand better; null where it was left out. */
    public function oddsOfStep(PositionFeature $feature): ?float
    {
        $slope = $this->betas[$feature->value] ?? null;

        return $slope === null ? null : exp($slope * $feature->step());
    }

    /**
     * β·x: what PositionFeature says of each, written out since it is asked for every row.
     *
     * @param ?float $authority may be null where it is not looked at
     * @param int    $halves    volume, as PositionFeature::volumeHalves() gives it
     */
    public function score(float $difficulty, ?float $authority, int $hundredths, int $halves): float
    {
        return ($this->betas['difficulty'] ?? 0.0) * $difficulty
            + ($this->betas['authority'] ?? 0.0) * ($authority ?? 0.0)
            + (isset($this->betas['ground']) ? $this->betas['ground'] * Ground::logOdds($hundredths) : 0.0)
            + ($this->betas['volume'] ?? 0.0) * $halves / 2;
    }

    /** @return array<string, null> */
    private static function noSlopes(): array
    {
        return array_fill_keys(array_column(PositionFeature::cases(), 'value'), null);
    }

    private static function assumed(ComfortDifficulty $comfort, int $rows): self
    {
        return new self(
            array_map(static fn(float $alpha): float => $alpha + $comfort->value / self::ASSUMED_SPREAD, self::ASSUMED_ALPHAS),
            [...self::noSlopes(), PositionFeature::Difficulty->value => -1 / self::ASSUMED_SPREAD],
            $rows,
            true,
            [],
        );
    }

    /**
     * @param array<string, array{mean: float, sd: float}> $scales  feature → scale, of those that are looked at
     * @param list<int>                                    $classes that have rows
     */
    private static function fit(PositionRows $rows, array $scales, array $classes, float $lambda, ?self $like): self
    {
        $found = ProportionalOdds::fit($rows->standardised($scales), $lambda, $like?->start($scales, $classes));
        $betas = self::noSlopes();
        $shift = 0.0;
        foreach (array_keys($scales) as $place => $name) {
            $betas[$name] = $found['slopes'][$place] / $scales[$name]['sd'];
            $shift += $betas[$name] * $scales[$name]['mean'];
        }

        return new self(
            self::spread($classes, array_map(static fn(float $alpha): float => $alpha - $shift, $found['thresholds'])),
            $betas,
            0,
            false,
            [],
        );
    }

    /**
     * @param list<int>   $classes    that have rows, rising
     * @param list<float> $thresholds one for each of them but the last
     *
     * @return list<float> one for each bound: a bound of an empty class takes that of the bound before it
     */
    private static function spread(array $classes, array $thresholds): array
    {
        $alphas = [];
        $passed = 0;
        for ($bound = 0; $bound < PlaceClass::ABSENT; ++$bound) {
            $passed += \in_array($bound, $classes, true) ? 1 : 0;
            $alphas[] = match ($passed) {
                0 => -INF,
                \count($classes) => INF,
                default => $thresholds[$passed - 1],
            };
        }

        return $alphas;
    }

    /**
     * This fit on other scales, where the same classes have rows and the same features are looked at.
     *
     * @param array<string, array{mean: float, sd: float}> $scales
     * @param list<int>                                    $classes
     *
     * @return ?array{thresholds: list<float>, slopes: list<float>}
     */
    private function start(array $scales, array $classes): ?array
    {
        $shift = 0.0;
        $slopes = $thresholds = [];
        foreach ($scales as $name => $scale) {
            if (! isset($this->betas[$name])) {
                return null;
            }
            $slopes[] = $this->betas[$name] * $scale['sd'];
            $shift += $this->betas[$name] * $scale['mean'];
        }
        foreach (\array_slice($classes, 0, -1) as $class) {
            $alpha = $class < PlaceClass::ABSENT ? $this->alphas[$class] : INF;
            if (! is_finite($alpha) || ($thresholds !== [] && $alpha + $shift <= end($thresholds))) {
                return null;
            }
            $thresholds[] = $alpha + $shift;
        }

        return ['thresholds' => $thresholds, 'slopes' => $slopes];
    }
}
