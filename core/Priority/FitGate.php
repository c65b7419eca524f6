<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/**
 * Lets through what fits the business well enough: the figures only order what the business wants. An unknown fit passes only where none
 * is asked for.
 */
final readonly class FitGate
{
    private function __construct(
        /** 0…5; 0 lets all through. */
        public int $smallest,
    ) {
    }

    /** @param int $smallest 0…5; 0 lets all through */
    public static function from(int $smallest): self
    {
        return new self($smallest);
    }

    public static function open(): self
    {
        return new self(0);
    }

    public function isOpen(): bool
    {
        return $this->smallest === 0;
    }

    public function lets(?float $fit): bool
    {
        return $this->isOpen() || ($fit !== null && $fit >= $this->smallest);
    }
}
