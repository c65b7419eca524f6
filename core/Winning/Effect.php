<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Exception\Misuse;

/**
 * The share of pages that move at all when they are worked on: an assumption until enough finished items teach it.
 *
 * @phpstan-type KeptEffect array{share: float, items: int, learnt: bool}
 */
final readonly class Effect
{
    public const FEWEST_ITEMS = 5;
    private const STEPS = 100;

    private function __construct(
        /** 0…1. */
        public float $share,
        /** Finished items that count, also when they are too few. */
        public int $items,
        public bool $isLearnt,
    ) {
        Misuse::unless($share >= 0 && $share <= 1, 'An effect is a share.');
    }

    public static function assumed(float $share, int $items = 0): self
    {
        return new self($share, $items, false);
    }

    /**
     * The mean of the posterior on s = .01 … .99 with weight s(1 − s) · Π (s·q)^y · (1 − s·q)^(1 − y), in logarithms.
     *
     * @param list<array{reach: float, reached: bool, ...}> $items of those that are finished: q, the chance of the lead to reach its target
     *     if the page moves at all, above 0, and whether it is there
     * @param float                                    $assumed where they are fewer than five
     */
    public static function learn(array $items, float $assumed): self
    {
        if (\count($items) < self::FEWEST_ITEMS) {
            return self::assumed($assumed, \count($items));
        }
        $logs = [];
        for ($step = 1; $step < self::STEPS; ++$step) {
            $share = $step / self::STEPS;
            $log = log($share) + log(1 - $share);
            foreach ($items as $item) {
                $chance = $share * $item['reach'];
                $log += $item['reached'] ? log($chance) : log1p(-$chance);
            }
            $logs[$step] = $log;
        }
        $most = max($logs);
        $weights = array_map(static fn(float $log): float => exp($log - $most), $logs);
        $mean = 0.0;
        foreach ($weights as $step => $weight) {
            $mean += $weight * $step / self::STEPS;
        }

        return new self($mean / array_sum($weights), \count($items), true);
    }

    /** @return KeptEffect */
    public function toArray(): array
    {
        return ['share' => $this->share, 'items' => $this->items, 'learnt' => $this->isLearnt];
    }

    /** @param KeptEffect $kept */
    public static function fromArray(array $kept): self
    {
        return new self((float) $kept['share'], $kept['items'], $kept['learnt']);
    }
}
