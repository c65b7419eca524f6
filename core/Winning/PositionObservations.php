<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * Who stands where: for every keyword with a known difficulty that bears no brand of a compared domain, the class of places of every
 * domain that has a snapshot. Held in some 21 bytes a keyword until the ground is known, which needs all keywords.
 */
final class PositionObservations
{
    /** Keywords are dealt out to so many folds, to judge the model by what it has not seen. */
    public const FOLDS = 5;

    private const FORMAT = 'Vdifficulty/Pclasses/Cfold';
    private const PACKED = 'VPC';
    private const BYTES = 13;
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
    public function add(string $keyword, ?float $difficulty, array $positions, bool $isBranded): void
    {
        if ($difficulty === null || $isBranded) {
            $this->keywords .= pack(self::PACKED, 0, 0, 0);

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
        $this->keywords .= pack(self::PACKED, $number, $classes, self::foldOf($keyword));
    }

    /**
     * Comes once, when all keywords have gone by: gives the memory back on the way.
     *
     * @param \Closure(Ground): void $tell told our ground at every keyword
     */
    public function groups(GroundBook $grounds, \Closure $tell): PositionGroups
    {
        $known = array_map(fn(int $domain): ?float => $this->authorities[$domain], $this->domains);
        $haveAll = ! \in_array(null, [$this->authorities[0] ?? null, ...$known], true);
        $authorities = $haveAll ? array_values(array_unique(array_map(floatval(...), $known))) : [0.0];
        $numbers = array_map(
            static fn(?float $authority): int => $haveAll ? (int) array_search((float) $authority, $authorities, true) : 0,
            $known,
        );
        $groups = new PositionGroups($this->difficulties, $authorities, $haveAll);
        $from = 0;
        foreach ($grounds->grounds() as [$hundredths, $own]) {
            $tell($own);
            /** @var array{difficulty: int, classes: int, fold: int} $kept */
            $kept = unpack(self::FORMAT, $this->keywords, $from);
            $from += self::BYTES;
            if ($kept['difficulty'] === 0) {
                continue;
            }
            foreach ($this->domains as $place => $domain) {
                $class = $kept['classes'] >> self::CLASS_BITS * $place & self::CLASS_MASK;
                $groups->add($kept['difficulty'] - 1, $numbers[$place], $hundredths[$domain], $class, $kept['fold']);
            }
        }
        $this->keywords = '';

        return $groups;
    }
}
