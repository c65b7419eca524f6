<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

use GreaterReach\Core\Exception\Bounds;
use GreaterReach\Core\Exception\InvalidArgument;

/** What visitors to a page, or to the whole site, did: clicks that led there, conversions among them, what these were worth. */
final readonly class MeasuredConversions
{
    /** Conversions from which a measured rate stands before an assumed one. */
    public const ENOUGH = 30;

    /**
     * @param ?float $revenue in the currency of the study; null unknown
     *
     * @throws InvalidArgument when a count is below 0
     */
    public function __construct(public int $clicks, public int $conversions, public ?float $revenue = null)
    {
        Bounds::hold(0, INF, $clicks, $conversions, $revenue) || throw new InvalidArgument('Counts of conversions are 0 or more.');
    }

    public function isEnough(): bool
    {
        return $this->conversions >= self::ENOUGH && $this->clicks > 0;
    }

    /** At most 1, though a visitor may buy twice. */
    public function rate(): float
    {
        return $this->clicks === 0 ? 0.0 : min(1.0, $this->conversions / $this->clicks);
    }

    public function value(): ?float
    {
        return $this->revenue === null || $this->conversions === 0 ? null : $this->revenue / $this->conversions;
    }
}
