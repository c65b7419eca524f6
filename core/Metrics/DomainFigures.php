<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

use GreaterReach\Core\Exception\Bounds;
use GreaterReach\Core\Exception\InvalidArgument;

/** What one source says about a domain, or what is chosen from all of them. */
final readonly class DomainFigures
{
    public function __construct(
        /** 0…100. */
        public ?float $authority = null,
        public ?int $referringDomains = null,
        public ?int $backlinks = null,
    ) {
        InvalidArgument::unless(
            Bounds::hold(0, 100, $authority) && Bounds::hold(0, INF, $referringDomains, $backlinks),
            'An authority lies between 0 and 100, and no count of links is less than 0.',
        );
    }

    /**
     * Each figure by itself: a known one beats an unknown one, then the better source.
     *
     * @param iterable<self> $sources best first
     */
    public static function resolve(iterable $sources): self
    {
        $authority = $referringDomains = $backlinks = null;
        foreach ($sources as $source) {
            $authority ??= $source->authority;
            $referringDomains ??= $source->referringDomains;
            $backlinks ??= $source->backlinks;
        }

        return new self($authority, $referringDomains, $backlinks);
    }
}
