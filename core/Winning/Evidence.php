<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\PageOne;

/** What speaks for or against winning a keyword, beside the figure and never folded into it. */
final readonly class Evidence
{
    /** So many of the strongest facts for and against come first. */
    private const FIRST = 2;

    /** Strength of one weaker site on page one, and of a count of none; from memory. */
    private const ONE_SITE = .5;
    private const NONE = .3;

    /** So far from our comfort a difficulty says all it can say; from memory. */
    private const FULL_DISTANCE = 30.0;

    public function __construct(
        private ComfortDifficulty $comfort,
        private ?float $ownAuthority,
        /** Difference in authority that still counts as similar. */
        private float $peerBand = 5.0,
    ) {
    }

    /**
     * @param Ground                                                  $ground      ours
     * @param list<string>                                            $stems       that relate other topics to this one
     * @param array<string, array{position: ?int, authority: ?float}> $competitors entry → where it stands
     * @param list<PageOneResult>                                     $pageOne     empty where not known
     *
     * @return list<EvidenceFact> the strongest two for and the strongest two against first
     */
    public function of(string $keyword, ?float $difficulty, Ground $ground, array $stems, array $competitors, array $pageOne): array
    {
        return self::strongestFirst(
            array_filter([
                $this->weakerSites($pageOne),
                $this->peers($competitors),
                $this->weaker($competitors),
                $this->difficulty($difficulty),
                self::ground($ground, $stems),
                self::pages(
                    'pages_without_links',
                    'no referring domains',
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->hasNoLinks()),
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->referringDomains !== null),
                ),
                self::pages(
                    'weak_pages',
                    'a strength of 20 or less',
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->isWeakPage()),
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->pageStrength !== null),
                ),
                self::titles($keyword, $pageOne),
            ]),
        );
    }

    /** @param array<string, array{position: ?int, authority: ?float}> $competitors */
    private function peers(array $competitors): ?EvidenceFact
    {
        $own = $this->ownAuthority;
        if ($own === null) {
            return null;
        }
        $peers = array_filter(
            $competitors,
            fn(array $one): bool => $one['authority'] !== null && abs($one['authority'] - $own) <= $this->peerBand,
        );
        $high = array_filter($peers, static fn(array $one): bool => self::isOnFirstPage($one['position']));
        $numbers = ['in_top_10' => \count($high), 'comparable' => \count($peers), 'band' => $this->peerBand, 'own_authority' => $own];

        return $peers === []
            ? null
            : new EvidenceFact(
                'peers',
                $numbers,
                $high !== [],
                sprintf(
                    '%d of %d competitors of comparable authority (%s ± %s) are in the top 10.',
                    \count($high),
                    \count($peers),
                    $own,
                    $this->peerBand,
                ),
                $high === [] ? self::NONE : \count($high) / \count($peers),
            );
    }

    /** @param list<PageOneResult> $pageOne */
    private function weakerSites(array $pageOne): ?EvidenceFact
    {
        $known = array_filter($pageOne, static fn(PageOneResult $result): bool => $result->authority !== null);
        if ($this->ownAuthority === null || $known === []) {
            return null;
        }
        $weaker = \count(array_filter($known, fn(PageOneResult $result): bool => $result->authority < $this->ownAuthority));
        $sites = \count($known);

        return new EvidenceFact(
            'weaker_sites',
            ['weaker' => $weaker, 'of' => $sites, 'own_authority' => $this->ownAuthority],
            2 * $weaker >= $sites,
            sprintf('%d of %d sites on page one are weaker than ours (authority %s).', $weaker, $sites, $this->ownAuthority),
            abs(2 * $weaker - $sites) / $sites,
        );
    }

    /** @param array<string, array{position: ?int, authority: ?float}> $competitors */
    private function weaker(array $competitors): ?EvidenceFact
    {
        foreach ($competitors as $entry => $one) {
            if (
                $this->ownAuthority !== null &&
                $one['authority'] !== null &&
                $one['authority'] < $this->ownAuthority - $this->peerBand &&
                self::isOnFirstPage($one['position'])
            ) {
                $numbers = [
                    'domain' => (string) $entry,
                    'authority' => $one['authority'],
                    'position' => (int) $one['position'],
                    'own_authority' => $this->ownAuthority,
                ];

                return new EvidenceFact(
                    'weaker_site',
                    $numbers,
                    true,
                    sprintf(
                        '%s, with an authority of %s against our %s, is at position %d.',
                        $entry,
                        $one['authority'],
                        $this->ownAuthority,
                        $one['position'],
                    ),
                    self::ONE_SITE,
                );
            }
        }

        return null;
    }

    private function difficulty(?float $difficulty): ?EvidenceFact
    {
        if ($difficulty === null) {
            return null;
        }
        $isWithin = $difficulty <= $this->comfort->value;
        $numbers = ['difficulty' => $difficulty, 'comfort' => $this->comfort->value];

        return new EvidenceFact(
            'difficulty',
            $numbers,
            $isWithin,
            sprintf(
                'A difficulty of %s is %s our comfort of %s%s.',
                round($difficulty, 1),
                $isWithin ? 'within' : 'beyond',
                round($this->comfort->value, 1),
                $this->comfort->isAssumed ? ' (assumed)' : '',
            ),
            min(1.0, abs($difficulty - $this->comfort->value) / self::FULL_DISTANCE),
        );
    }

    /** @param list<string> $stems */
    private static function ground(Ground $ground, array $stems): ?EvidenceFact
    {
        return $ground->of === 0
            ? null
            : new EvidenceFact(
                'ground',
                ['held' => $ground->held, 'of' => $ground->of, 'stems' => implode(', ', $stems)],
                2 * $ground->held >= $ground->of,
                sprintf(
                    'We rank in the top 20 for %d of %d keywords in related topics%s.',
                    $ground->held,
                    $ground->of,
                    $stems === [] ? '' : ' ('.implode(', ', $stems).')',
                ),
                abs(2 * $ground->held - $ground->of) / $ground->of,
            );
    }

    /**
     * Results whose title lacks a word of the keyword answer something else: an opening.
     *
     * @param list<PageOneResult> $pageOne
     */
    private static function titles(string $keyword, array $pageOne): ?EvidenceFact
    {
        $titles = array_filter(
            array_map(static fn(PageOneResult $result): ?bool => $result->isOffTopic($keyword), $pageOne),
            static fn(?bool $isOff): bool => $isOff !== null,
        );
        if ($titles === []) {
            return null;
        }
        $off = array_filter($titles);

        return new EvidenceFact(
            'off_topic_titles',
            ['titles' => \count($off), 'of' => \count($titles)],
            $off !== [],
            sprintf('%d of the %d known titles on page one lack a word of the keyword.', \count($off), \count($titles)),
            $off === [] ? self::NONE : \count($off) / \count($titles),
        );
    }

    /**
     * @param array<int, PageOneResult> $found
     * @param array<int, PageOneResult> $known results for which the figure is known
     */
    private static function pages(string $code, string $what, array $found, array $known): ?EvidenceFact
    {
        return $known === []
            ? null
            : new EvidenceFact(
                $code,
                ['pages' => \count($found), 'of' => \count($known)],
                $found !== [],
                sprintf('%d of the %d pages on page one with a known figure have %s.', \count($found), \count($known), $what),
                $found === [] ? self::NONE : \count($found) / \count($known),
            );
    }

    private static function isOnFirstPage(?int $position): bool
    {
        return $position !== null && $position <= PageOne::LAST;
    }

    /**
     * @param array<int, EvidenceFact> $facts
     *
     * @return list<EvidenceFact>
     */
    private static function strongestFirst(array $facts): array
    {
        usort($facts, static fn(EvidenceFact $one, EvidenceFact $other): int => $other->strength <=> $one->strength);
        $for = array_filter($facts, static fn(EvidenceFact $fact): bool => $fact->isEncouraging);
        $against = array_filter($facts, static fn(EvidenceFact $fact): bool => ! $fact->isEncouraging);
        $first = [...\array_slice($for, 0, self::FIRST), ...\array_slice($against, 0, self::FIRST)];
        $rest = array_filter($facts, static fn(EvidenceFact $fact): bool => ! \in_array($fact, $first, true));

        return [...$first, ...array_values($rest)];
    }
}
