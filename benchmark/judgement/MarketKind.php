<?php

declare(strict_types=1);

namespace Benchmark\Judgement;

/** What decides who ranks in a simulated market. Each kind differs from the plain one in what its name says. */
final readonly class MarketKind
{
    private function __construct(
        public string $name,
        /** Authorities of the domains, ours first, 0…100. */
        public array $authorities = [40, 46, 38, 55, 30],
        /** Standard deviation of how much better a domain is in one subject than in another, in logarithms of a place. */
        public float $subjectStrength = .5,
        /** Standard deviation of what a provider's difficulty is off by. */
        public float $difficultyNoise = 6.0,
        /** How much better our new pages are than pages of ours usually are, in logarithms of a place. */
        public float $ourCraft = .3,
        /** Strength per unit of ln(1 + referring domains) of a page. */
        public float $linkStrength = .0,
        /** Share of the competitors' pages that are published in a month. */
        public float $publishing = .01,
        /** Strength that competitors gain in a month. */
        public float $rivalsGrow = .0,
        /** Share of the topics that we have a page for. */
        public float $ourCoverage = .45,
        /** Whether places come from a ranking among eighty rivals rather than from a logarithm. */
        public bool $isRanking = false,
        /** Whether only finished work can tell what ours brings. */
        public bool $isOnlyToldByWork = false,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [
            new self('plain'),
            new self('authority decides', authorities: [34, 72, 58, 45, 18], subjectStrength: .2),
            new self('subjects decide', authorities: [40, 42, 39, 41, 38], subjectStrength: 1.1),
            new self('links decide', linkStrength: .45),
            new self('difficulty is guessed', difficultyNoise: 18.0, isRanking: true),
            new self('rivals at work', publishing: .04, rivalsGrow: .04, isRanking: true),
            new self('a small site', authorities: [16, 44, 52, 36, 28], ourCoverage: .2, isRanking: true),
            new self('our craft is better', ourCraft: 1.4, isOnlyToldByWork: true),
            new self('our craft is worse', ourCraft: -.9, isOnlyToldByWork: true),
        ];
    }
}
