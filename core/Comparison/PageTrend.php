<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** How the visits of an own page moved, at the volumes of today, so that nothing but positions makes a difference. */
final readonly class PageTrend
{
    /** A page that has lost so much of its visits fades; from memory. */
    public const FADING_FROM = .2;

    /** Visits a month whose loss is worth a word; from memory. */
    public const FEWEST_LOST = 10.0;

    public function __construct(
        /** Visits a month, as all that follow. */
        public float $now,
        /** Half a year before; null where no rankings are known from about then. */
        public ?float $sixMonthsAgo,
        public ?float $aYearAgo,
    ) {
    }

    /** Change within half a year, as a share of what it was; null unknown, or where it brought nothing. */
    public function overSixMonths(): ?float
    {
        return self::change($this->sixMonthsAgo, $this->now);
    }

    public function overAYear(): ?float
    {
        return self::change($this->aYearAgo, $this->now);
    }

    /** Whether it loses what it had, within half a year or a year. */
    public function isFading(): bool
    {
        return self::hasLost($this->sixMonthsAgo, $this->now) || self::hasLost($this->aYearAgo, $this->now);
    }

    private static function change(?float $before, float $now): ?float
    {
        return $before === null || $before <= 0.0 ? null : $now / $before - 1;
    }

    private static function hasLost(?float $before, float $now): bool
    {
        return $before !== null && $before - $now >= max(self::FEWEST_LOST, self::FADING_FROM * $before);
    }
}
