<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\PageOne;

/** What speaks for or against winning a keyword, beside the figure and never folded into it. */
final readonly class Evidence
{
    public function __construct(
        private ComfortDifficulty $comfort,
        private ?float $ownAuthority,
        /** Authority above or below ours that still counts as comparable. */
        private float $peerBand = 5.0,
    ) {
    }

    /**
     * @param array<string, array{position: ?int, authority: ?float}> $competitors entry → where it stands
     * @param list<PageOneResult>                                     $pageOne     empty where not known
     *
     * @return list<EvidenceFact>
     */
    public function of(?float $difficulty, array $competitors, array $pageOne): array
    {
        return array_values(
            array_filter([
                $this->peers($competitors),
                $this->weaker($competitors),
                $this->difficulty($difficulty),
                self::pages(
                    'pages_without_links',
                    'no referring domains',
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->hasNoLinks()),
                    $pageOne,
                ),
                self::pages(
                    'weak_pages',
                    'a strength of 20 or less',
                    array_filter($pageOne, static fn(PageOneResult $result): bool => $result->isWeakPage()),
                    $pageOne,
                ),
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
        );
    }

    /**
     * @param array<int, PageOneResult> $found
     * @param list<PageOneResult>       $pageOne
     */
    private static function pages(string $code, string $what, array $found, array $pageOne): ?EvidenceFact
    {
        return $pageOne === []
            ? null
            : new EvidenceFact(
                $code,
                ['pages' => \count($found), 'of' => \count($pageOne)],
                $found !== [],
                sprintf('%d of %d pages on page one have %s.', \count($found), \count($pageOne), $what),
            );
    }

    private static function isOnFirstPage(?int $position): bool
    {
        return $position !== null && $position <= PageOne::LAST;
    }
}
