<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * Where pages that exist rank: for every keyword with a known difficulty that bears no brand of a compared domain, the class of places of
 * every domain that has a page for its topic. Held in some 15 bytes a keyword until pages and ground are known, which needs all keywords.
 */
final class PositionObservations
{
    /** Keywords are dealt out to so many folds, to judge the model by what it has not seen. */
    public const FOLDS = 5;

    private const FORMAT = 'Vdifficulty/Pclasses/Cfold/Chalves';
    private const PACKED = 'VPCC';
    private const BYTES = 14;
    private const CLASS_BITS = 3;
    private const CLASS_MASK = 7;

    /** @var array<array-key, int> difficulty as text → its number, from 1; 0 is a keyword that does not count */
    private array $numbers = [];

    /** @var list<float> */
    private array $difficulties = [];

    private string $keywords = '';

    /**
     * @param list<?float> $authorities of every compared domain, ours first
     * @param list<int>    $domains     numbers of those that have a snapshot; at most 21
     */
    public function __construct(private readonly array $authorities, private readonly array $domains)
    {
    }

    /** CRC-32 (IEEE 802.3) of the key's bytes mod 5. */
    public static function foldOf(string $keyword): int
    {
        return crc32($keyword) % self::FOLDS;
    }

    /**
     * Adds the next keyword, whether it counts or not.
     *
     * @param ?float     $difficulty of the sources, whatever a person set
     * @param list<?int> $positions  best position of every domain, whatever `within`
     */
    public function add(string $keyword, ?float $difficulty, ?int $volume, array $positions, bool $isBranded): void
    {
        if ($difficulty === null || $isBranded) {
            $this->keywords .= pack(self::PACKED, 0, 0, 0, 0);

            return;
        }
        $number = $this->numbers[(string) $difficulty] ?? null;
        if ($number === null) {
            $this->difficulties[] = $difficulty;
            $number = $this->numbers[(string) $difficulty] = \count($this->difficulties);
        }
        $classes = 0;
        foreach ($this->domains as $place => $domain) {
            $classes |= PlaceClass::of($positions[$domain] ?? null) << self::CLASS_BITS * $place;
        }
        $this->keywords .= pack(self::PACKED, $number, $classes, self::foldOf($keyword), PositionFeature::volumeHalves($volume));
    }

    /** Whether the authority of ours and of every domain with a snapshot is known. */
    public function hasAuthority(): bool
    {
        $known = array_map(fn(int $domain): ?float => $this->authorities[$domain], $this->domains);

        return ! \in_array(null, [$this->authorities[0] ?? null, ...$known], true);
    }

    /**
     * Comes once, when all keywords have gone by: gives the memory back.
     *
     * @param list<int>       $topicOf keyword → number of its topic
     * @param array<int, int> $holders topic → bits of the domains that have a page for it
     */
    public function groups(GroundIndex $grounds, array $topicOf, array $holders): PositionGroups
    {
        $hasAuthority = $this->hasAuthority();
        $known = array_map(fn(int $domain): float => $hasAuthority ? (float) $this->authorities[$domain] : 0.0, $this->domains);
        [$authorities, $authorityOf] = self::ranked($known);
        [$difficulties, $difficultyOf] = self::ranked($this->difficulties);
        $groups = new PositionGroups($difficulties, $authorities, $hasAuthority);
        foreach ($topicOf as $keyword => $topic) {
            /** @var array{difficulty: int, classes: int, fold: int, halves: int} $kept */
            $kept = unpack(self::FORMAT, $this->keywords, self::BYTES * $keyword);
            $having = $kept['difficulty'] === 0 ? 0 : ($holders[$topic] ?? 0);
            foreach ($having === 0 ? [] : $this->domains as $place => $domain) {
                if (($having >> $domain & 1) === 1) {
                    $groups->add(
                        $difficultyOf[$kept['difficulty'] - 1],
                        $authorityOf[$place],
                        $grounds->hundredths($topic, $domain),
                        $kept['halves'],
                        $kept['classes'] >> self::CLASS_BITS * $place & self::CLASS_MASK,
                        $kept['fold'],
                    );
                }
            }
        }
        $this->keywords = '';

        return $groups;
    }

    /**
     * @param list<float> $values
     *
     * @return array{list<float>, list<int>} each value once, rising; place in the list → number of its value
     */
    private static function ranked(array $values): array
    {
        $sorted = array_values(array_unique($values));
        sort($sorted, SORT_NUMERIC);
        $numbers = array_flip(array_map(strval(...), $sorted));

        return [$sorted, array_map(static fn(float $value): int => $numbers[(string) $value], $values)];
    }
}
