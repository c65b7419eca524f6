<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * What became of keywords that stood in the same place class some snapshots ago: a fact of the history beside the model, and never folded
 * into its chance.
 *
 * @phpstan-type Moved array{then: ?int, now: ?int, keywords: int}
 */
final readonly class BaseRate
{
    /**
     * @param list<list<Moved>> $domains keywords of each domain by position then and now; ours first
     * @param ?string           $since   day of the snapshots then, as it is written in a sentence; null where no domain has a history
     */
    public function __construct(private array $domains, private ?string $since)
    {
    }

    /** @return ?EvidenceFact null where no keyword stood in that class */
    public function of(?int $position, int $target, ?float $winChance): ?EvidenceFact
    {
        $class = PlaceClass::of($position);
        $ours = self::count(\array_slice($this->domains, 0, 1), $class, $target);
        $all = self::count($this->domains, $class, $target);
        if ($all['keywords'] === 0 || $this->since === null) {
            return null;
        }
        $share = $all['reached'] / $all['keywords'];
        $where = $class === PlaceClass::ABSENT ? 'not ranking' : 'at '.PlaceClass::names()[$class];

        return new EvidenceFact(
            'base_rate',
            [...$all, 'our_keywords' => $ours['keywords'], 'our_reached' => $ours['reached']],
            $share >= ($winChance ?? 0.0),
            sprintf(
                'Of %s %s of all domains %s on %s, %s%% %s at %d or better now (ours: %s of %s).',
                number_format($all['keywords']),
                $all['keywords'] === 1 ? 'keyword' : 'keywords',
                $where,
                $this->since,
                preg_replace('/\.0$/D', '', number_format(100 * $share, 1)),
                $all['keywords'] === 1 ? 'is' : 'are',
                $target,
                number_format($ours['reached']),
                number_format($ours['keywords']),
            ),
        );
    }

    /**
     * @param list<list<Moved>> $domains
     *
     * @return array{keywords: int, reached: int}
     */
    private static function count(array $domains, int $class, int $target): array
    {
        $counts = ['keywords' => 0, 'reached' => 0];
        foreach (array_merge([], ...$domains) as $moved) {
            if (PlaceClass::of($moved['then']) === $class) {
                $counts['keywords'] += $moved['keywords'];
                $counts['reached'] += $moved['now'] !== null && $moved['now'] <= $target ? $moved['keywords'] : 0;
            }
        }

        return $counts;
    }
}
