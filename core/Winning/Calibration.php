<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * How well chances were told for one bound, out of sample: in ten bins what was said against what was seen, and the mean squared error
 * (Brier score) beside that of always saying the share seen elsewhere.
 *
 * @phpstan-type Bin array{from: float, to: float, rows: int, predicted: ?float, observed: ?float}
 * @phpstan-type KeptCalibration array{bound: int, bins: list<Bin>, brier: ?float, base: ?float}
 */
final readonly class Calibration
{
    public const BOUNDS = [3, 10, 20];
    public const BINS = 10;

    /** @param list<Bin> $bins */
    private function __construct(
        /** The place up to which the chances were asked. */
        public int $bound,
        public array $bins,
        /** Null without rows. */
        public ?float $brier,
        public ?float $base,
    ) {
    }

    /**
     * @param list<PositionFit> $fits one for each fold, learnt from the others
     *
     * @return list<self> one for each bound
     */
    public static function outOfSample(PositionGroups $groups, array $fits): array
    {
        $whole = $groups->rowsByClass();
        $tallies = array_map(static fn(int $bound): CalibrationTally => new CalibrationTally($bound), self::BOUNDS);
        foreach (array_keys($fits) as $fold) {
            $inFold = $groups->rowsByClass(null, $fold);
            $others = array_map(static fn(int $all, int $here): int => $all - $here, $whole, $inFold);
            array_walk($tallies, static fn(CalibrationTally $tally) => $tally->addBase($inFold, $others));
        }
        foreach ($groups->eachFold() as [$difficulty, $authority, $hundredths, $halves, $folds]) {
            foreach ($folds as $fold => $counts) {
                $score = $fits[$fold]->score($difficulty, $authority, $hundredths, $halves);
                foreach ($tallies as $tally) {
                    $tally->add($fits[$fold]->chanceUpTo($tally->class, $score), $counts);
                }
            }
        }

        return array_map(
            static fn(CalibrationTally $tally): self => new self($tally->bound, $tally->bins(), $tally->brier(), $tally->base()),
            $tallies,
        );
    }

    /** @return KeptCalibration */
    public function toArray(): array
    {
        return ['bound' => $this->bound, 'bins' => $this->bins, 'brier' => $this->brier, 'base' => $this->base];
    }

    /** @param KeptCalibration $kept numbers as JSON may have changed them */
    public static function fromArray(array $kept): self
    {
        $known = static fn(int|float|null $value): ?float => $value === null ? null : (float) $value;

        return new self(
            $kept['bound'],
            array_map(
                static fn(array $bin): array => [
                    'from' => (float) $bin['from'],
                    'to' => (float) $bin['to'],
                    'rows' => $bin['rows'],
                    'predicted' => $known($bin['predicted']),
                    'observed' => $known($bin['observed']),
                ],
                $kept['bins'],
            ),
            $known($kept['brier']),
            $known($kept['base']),
        );
    }
}
