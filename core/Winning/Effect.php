<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\ShiftPosterior;

/**
 * What work of one kind brings, as a shift of the logarithm of the odds: the prior, and what finished items taught since.
 *
 * @phpstan-type KeptEffect array{weights: list<float>, items: int}
 */
final readonly class Effect
{
    private const SMALLEST = 1e-9;

    public function __construct(
        public ShiftPosterior $posterior,
        /** Finished items that taught it. */
        public int $items = 0,
    ) {
    }

    public static function prior(float $mean, float $deviation): self
    {
        return new self(ShiftPosterior::normal($mean, $deviation));
    }

    /** @param list<FinishedItem> $items of this kind */
    public function learning(array $items): self
    {
        if ($items === []) {
            return $this;
        }
        $posterior = $this->posterior->observing(static function (float $shift) use ($items): float {
            $log = 0.0;
            foreach ($items as $item) {
                $log += log(max($item->chanceOfResult($shift), self::SMALLEST));
            }

            return $log;
        });

        return new self($posterior, $this->items + \count($items));
    }

    public function mean(): float
    {
        return $this->posterior->mean();
    }

    /** @return KeptEffect */
    public function toArray(): array
    {
        return ['weights' => $this->posterior->toArray(), 'items' => $this->items];
    }

    /** @param KeptEffect $kept */
    public static function fromArray(array $kept): self
    {
        return new self(ShiftPosterior::fromArray($kept['weights']), $kept['items']);
    }
}
