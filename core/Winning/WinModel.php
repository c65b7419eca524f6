<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\LogisticRegression;

/**
 * The chance that a domain stands on page one for a keyword, learnt from who stands where in this study: a penalised
 * logistic regression on difficulty and on each feature of a domain that every compared one has. With too little to learn
 * from it falls back to a curve around the comfort difficulty, and says so.
 *
 * @phpstan-type Group array{domain: int, difficulty: float, trials: int, successes: int}
 * @phpstan-type Bin array{from: float, to: float, rows: int, predicted: ?float, observed: ?float}
 * @phpstan-type KeptModel array{intercept: float, difficulty: float, features: array<string, ?float>, rows: int, brier_score: ?float,
 *     calibration: list<Bin>, assumed: bool}
 */
final readonly class WinModel
{
    public const FEWEST_ROWS = 50;
    private const FALLBACK_SPREAD = 8.0;
    private const BINS = 10;
    private const HARDEST = 100;

    /**
     * @param array<string, ?float> $slopes      feature → slope, null where it is not in the model
     * @param list<Bin>             $calibration
     * @param array<string, ?float> $own         feature → ours
     */
    private function __construct(
        /** On the original scale of difficulty and features. */
        public float $intercept,
        public float $difficultySlope,
        public array $slopes,
        public int $rows,
        /** Mean squared error of the chances over the rows it was fitted to; null for the assumed curve. */
        public ?float $brierScore,
        public array $calibration,
        public bool $isAssumed,
        private array $own,
    ) {
    }

    /**
     * @param list<array<string, ?float>> $figures of every compared domain, ours first: feature → figure
     * @param float                       $lambda  weight of the penalty on the standardised coefficients
     */
    public static function fit(WinObservations $observations, array $figures, float $lambda, ComfortDifficulty $comfort): self
    {
        $groups = $observations->groups();
        $rows = array_sum(array_column($groups, 'trials'));
        $wins = array_sum(array_column($groups, 'successes'));
        if ($rows < self::FEWEST_ROWS || $wins === 0 || $wins === $rows) {
            return self::assumed($comfort, $rows);
        }
        $columns = ['difficulty' => array_column($groups, 'difficulty')];
        foreach (DomainFeature::cases() as $feature) {
            $known = array_column($figures, $feature->value);
            if (\count($known) === \count($figures) && ! \in_array(null, $known, true)) {
                $columns[$feature->value] = array_map(static fn(array $group): float => $known[$group['domain']], $groups);
            }
        }

        return self::fitColumns($groups, $columns, $lambda, $rows, DomainFeature::figures($figures[0] ?? []));
    }

    /** @return KeptModel */
    public function toArray(): array
    {
        return [
            'intercept' => $this->intercept,
            'difficulty' => $this->difficultySlope,
            'features' => $this->slopes,
            'rows' => $this->rows,
            'brier_score' => $this->brierScore,
            'calibration' => $this->calibration,
            'assumed' => $this->isAssumed,
        ];
    }

    /**
     * @param array<string, mixed>  $kept as toArray() gave it, or as it was kept when authority was the only feature
     * @param array<string, ?float> $own  feature → ours
     */
    public static function fromArray(array $kept, array $own): self
    {
        $features = $kept['features'] ?? $kept;
        /** @var KeptModel $kept */
        $kept = [...$kept, 'features' => DomainFeature::figures(\is_array($features) ? $features : [])];
        $known = static fn(int|float|null $value): ?float => $value === null ? null : (float) $value;
        $bins = array_map(
            static fn(array $bin): array => [
                'from' => (float) $bin['from'],
                'to' => (float) $bin['to'],
                'rows' => $bin['rows'],
                'predicted' => $known($bin['predicted']),
                'observed' => $known($bin['observed']),
            ],
            $kept['calibration'],
        );

        return new self(
            (float) $kept['intercept'],
            (float) $kept['difficulty'],
            $kept['features'],
            $kept['rows'],
            $known($kept['brier_score']),
            $bins,
            $kept['assumed'],
            $own,
        );
    }

    /** The chance, 0…1, that our domain reaches page one at this difficulty, wherever it stands now. */
    public function chanceAt(float $difficulty): float
    {
        return $this->chance($difficulty, $this->own);
    }

    /**
     * The difficulty at which our domain's chance passes a value: the chance falls on one straight line of its logarithmic odds.
     *
     * @param float $chance between 0 and 1, neither of the two
     *
     * @return ?float 0…100; null where the chance does not pass that value there, or does not depend on the difficulty
     */
    public function difficultyAt(float $chance): ?float
    {
        if ($this->difficultySlope === 0.0) {
            return null;
        }
        $others = $this->intercept + $this->featureScore($this->own);
        $difficulty = (log($chance / (1 - $chance)) - $others) / $this->difficultySlope;

        return $difficulty >= 0 && $difficulty <= self::HARDEST ? $difficulty : null;
    }

    private static function assumed(ComfortDifficulty $comfort, int $rows): self
    {
        $none = DomainFeature::figures([]);

        return new self($comfort->value / self::FALLBACK_SPREAD, -1 / self::FALLBACK_SPREAD, $none, $rows, null, [], true, []);
    }

    /** @param array<string, ?float> $figures of the domain */
    private function chance(float $difficulty, array $figures): float
    {
        return LogisticRegression::sigmoid($this->intercept + $this->difficultySlope * $difficulty + $this->featureScore($figures));
    }

    /** @param array<string, ?float> $figures of a domain */
    private function featureScore(array $figures): float
    {
        $score = 0.0;
        foreach ($this->slopes as $name => $slope) {
            $score += ($slope ?? 0.0) * ($figures[$name] ?? 0.0);
        }

        return $score;
    }

    /** By what so many points more of a feature multiply the odds of page one: e to the power of slope times points. */
    public static function oddsRatio(float $slope, float $points): float
    {
        return exp($slope * $points);
    }

    /**
     * @param list<Group>                $groups
     * @param array<string, list<float>> $columns
     * @param array<string, ?float>      $own     feature → ours
     */
    private static function fitColumns(array $groups, array $columns, float $lambda, int $rows, array $own): self
    {
        $trials = array_column($groups, 'trials');
        $scales = array_filter(array_map(static fn(array $column): ?array => self::scale($column, $trials), $columns));
        $features = [];
        foreach ($groups as $index => $group) {
            $features[] = array_map(
                static fn(array $scale, string $name): float => ($columns[$name][$index] - $scale['mean']) / $scale['sd'],
                $scales,
                array_keys($scales),
            );
        }
        $beta = LogisticRegression::fit($features, $trials, array_column($groups, 'successes'), $lambda);
        $intercept = $beta[0];
        $slopes = [];
        foreach (array_keys($scales) as $place => $name) {
            $slopes[$name] = $beta[$place + 1] / $scales[$name]['sd'];
            $intercept -= $slopes[$name] * $scales[$name]['mean'];
        }
        $model = new self($intercept, $slopes['difficulty'] ?? 0.0, DomainFeature::figures($slopes), $rows, null, [], false, $own);

        return $model->judged($groups, array_diff_key($columns, ['difficulty' => 1]));
    }

    /**
     * @param list<float> $column
     * @param list<int>   $trials
     *
     * @return ?array{mean: float, sd: float} over single rows, population standard deviation; null for a constant
     */
    private static function scale(array $column, array $trials): ?array
    {
        if (\count(array_unique($column)) < 2) {
            return null;
        }
        $rows = array_sum($trials);
        $sum = $squares = 0.0;
        foreach ($column as $index => $value) {
            $sum += $trials[$index] * $value;
        }
        $mean = $sum / $rows;
        foreach ($column as $index => $value) {
            $squares += $trials[$index] * ($value - $mean) ** 2;
        }

        return ['mean' => $mean, 'sd' => sqrt($squares / $rows)];
    }

    /**
     * @param list<Group>                $groups
     * @param array<string, list<float>> $features feature → figure of the domain of each group
     */
    private function judged(array $groups, array $features): self
    {
        $error = 0.0;
        $rows = $observed = array_fill(0, self::BINS, 0);
        $predicted = array_fill(0, self::BINS, 0.0);
        foreach ($groups as $index => $group) {
            $own = array_map(static fn(array $figures): float => $figures[$index], $features);
            $chance = $this->chance($group['difficulty'], $own);
            $error += $group['successes'] * (1 - $chance) ** 2 + ($group['trials'] - $group['successes']) * $chance ** 2;
            $bin = min(self::BINS - 1, (int) floor($chance * self::BINS));
            $rows[$bin] += $group['trials'];
            $predicted[$bin] += $group['trials'] * $chance;
            $observed[$bin] += $group['successes'];
        }
        $calibration = [];
        foreach ($rows as $number => $count) {
            $calibration[] = [
                'from' => $number / self::BINS,
                'to' => ($number + 1) / self::BINS,
                'rows' => $count,
                'predicted' => $count === 0 ? null : $predicted[$number] / $count,
                'observed' => $count === 0 ? null : $observed[$number] / $count,
            ];
        }

        return new self(
            $this->intercept,
            $this->difficultySlope,
            $this->slopes,
            $this->rows,
            $error / $this->rows,
            $calibration,
            false,
            $this->own,
        );
    }
}
