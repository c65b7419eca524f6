<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

/** Which share of visits converts, what a conversion is worth, and who says so. */
final readonly class ConversionRate
{
    public const RULEBOOK = 'rulebook';

    public function __construct(
        /** 0…1 */
        public float $rate,
        public ?float $value,
        public string $rateSource = self::RULEBOOK,
        public string $valueSource = self::RULEBOOK,
    ) {
    }

    public function isMeasured(): bool
    {
        return $this->rateSource !== self::RULEBOOK;
    }
}
