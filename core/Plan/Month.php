<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidValue;

/** A calendar month, such as 2026-11. */
final readonly class Month
{
    private const MONTHS = 12;

    private function __construct(private int $number)
    {
    }

    /** @throws InvalidValue when the text is not YYYY-MM */
    public static function parse(string $text): self
    {
        if (preg_match('/^(\d{4})-(0[1-9]|1[0-2])$/D', $text, $part) !== 1 || (int) $part[1] === 0) {
            throw InvalidValue::because('month', $text, 'isn’t a month like 2026-12');
        }

        return new self((int) $part[1] * self::MONTHS + (int) $part[2] - 1);
    }

    public function plus(int $months): self
    {
        return new self($this->number + $months);
    }

    /** Whole months from this one to the other; negative when the other is earlier. */
    public function until(self $other): int
    {
        return $other->number - $this->number;
    }

    /** 1…12. */
    public function ofYear(): int
    {
        return $this->number % self::MONTHS + 1;
    }

    public function __toString(): string
    {
        return sprintf('%04d-%02d', intdiv($this->number, self::MONTHS), $this->ofYear());
    }
}
