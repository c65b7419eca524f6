<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

use GreaterReach\Core\Exception\InvalidArgument;

/** What is known of a keyword's market. Null means unknown, which is never 0. */
final readonly class Metrics
{
    public const MONTHS = 12;

    public function __construct(
        /** Searches a month. */
        public ?int $volume = null,
        /** 0…100. */
        public ?float $difficulty = null,
        /** Cost per click in the market's currency. */
        public ?float $cpc = null,
        /** Advertiser competition, as the source gives it. */
        public ?float $advertiserCompetition = null,
        /** @var ?list<?int> volume by calendar month, January first */
        public ?array $monthly = null,
        /** The volume is the rounded mean of twelve monthly ones, not a source's own figure. */
        public bool $volumeIsDerived = false,
    ) {
        // Written out, as this runs several times a keyword.
        if (
            ($difficulty ?? 0) < 0 || ($difficulty ?? 0) > 100 || ($volume ?? 0) < 0 || ($cpc ?? 0) < 0 || ($advertiserCompetition ?? 0) < 0
        ) {
            throw InvalidArgument::because('Metrics are no less than 0, and a difficulty no more than 100.');
        }
    }

    public static function unknown(): self
    {
        return new self();
    }

    /** The same with a difficulty (0…100) that a person set; as it is where none was. */
    public function corrected(?float $difficulty): self
    {
        return $difficulty === null
            ? $this
            : new self($this->volume, $difficulty, $this->cpc, $this->advertiserCompetition, $this->monthly, $this->volumeIsDerived);
    }

    public function hasWholeYear(): bool
    {
        return $this->monthly !== null && \count($this->monthly) === self::MONTHS && ! \in_array(null, $this->monthly, true);
    }
}
