<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * Where a page that exists ranks, fitted to the pages of all domains in this study: the fit to all rows, and how well fits to four
 * fifths of them told the rest.
 *
 * @phpstan-import-type KeptFit from PositionFit
 * @phpstan-import-type KeptCalibration from Calibration
 * @phpstan-type KeptModel array{fit: KeptFit, classes: list<int>, authority: ?float, calibration: list<KeptCalibration>}
 */
final readonly class PositionModel
{
    /**
     * @param list<int>         $classes     rows by class
     * @param list<Calibration> $calibration one for each bound
     */
    public function __construct(
        public PositionFit $fit,
        public array $classes,
        /** Of our domain. */
        public ?float $authority,
        public array $calibration = [],
    ) {
    }

    /** @param float $lambda weight of the penalty on the standardised slopes */
    public static function learn(PositionGroups $groups, float $lambda, ComfortDifficulty $comfort, ?float $ownAuthority): self
    {
        return new self(PositionFit::of($groups, null, $lambda, $comfort), $groups->rowsByClass(), $ownAuthority);
    }

    /** The same, judged by what four fifths of the rows tell of the rest. */
    public function judged(PositionGroups $groups, float $lambda, ComfortDifficulty $comfort): self
    {
        $fits = array_map(
            fn(int $fold): PositionFit => PositionFit::of($groups, $fold, $lambda, $comfort, $this->fit),
            range(0, PositionObservations::FOLDS - 1),
        );

        return new self($this->fit, $this->classes, $this->authority, Calibration::outOfSample($groups, $fits));
    }

    /** The share of all rows that stand within a place; null where there are none, or within a class. */
    public function shareWithin(int $place): ?float
    {
        $class = array_search($place, PlaceClass::BOUNDS, true);
        $rows = array_sum($this->classes);

        return $class === false || $rows === 0 ? null : array_sum(\array_slice($this->classes, 0, $class + 1)) / $rows;
    }

    /**
     * Where our pages like this one rank.
     *
     * @param float $shift of the logarithm of the odds
     */
    public function chances(float $difficulty, Ground $ground, ?int $volume, float $shift = 0.0): PlaceChances
    {
        $halves = PositionFeature::volumeHalves($volume);

        return $this->fit->chances($this->fit->score($difficulty, $this->authority, $ground->hundredths, $halves), $shift);
    }

    /** @return KeptModel */
    public function toArray(): array
    {
        return [
            'fit' => $this->fit->toArray(),
            'classes' => $this->classes,
            'authority' => $this->authority,
            'calibration' => array_map(static fn(Calibration $one): array => $one->toArray(), $this->calibration),
        ];
    }

    /** @param KeptModel $kept numbers as JSON may have changed them */
    public static function fromArray(array $kept): self
    {
        return new self(
            PositionFit::fromArray($kept['fit']),
            $kept['classes'],
            $kept['authority'] === null ? null : (float) $kept['authority'],
            array_map(Calibration::fromArray(...), $kept['calibration']),
        );
    }
}
