<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

/** What the features of a results page leave to the results: whatever answers the question above them takes clicks from all of them. */
final readonly class FeatureClicks
{
    private const SEPARATOR = ';';

    /** @param array<array-key, float> $factors feature → share of the clicks that it leaves, 0…1 */
    public function __construct(public array $factors = [])
    {
    }

    /**
     * @param list<string> $features of a results page, each once
     *
     * @return float 0…1: the product of the factors of those that are there
     */
    public function shareLeft(array $features): float
    {
        $share = 1.0;
        foreach ($this->factors === [] ? [] : $features as $feature) {
            $share *= $this->factors[$feature] ?? 1.0;
        }

        return $share;
    }

    /**
     * Features as a cell holds them, separated by semicolons.
     *
     * @return list<string> trimmed, in lower case
     */
    public static function read(string $cell): array
    {
        $parts = array_map(static fn(string $part): string => mb_strtolower(trim($part)), explode(self::SEPARATOR, $cell));

        return array_values(array_filter($parts, static fn(string $part): bool => $part !== ''));
    }

    /**
     * @param iterable<?string> $cells of all rankings of a keyword
     *
     * @return list<string> each feature once, in order
     */
    public static function together(iterable $cells): array
    {
        $features = [];
        foreach ($cells as $cell) {
            foreach ($cell === null ? [] : self::read($cell) as $feature) {
                $features[$feature] = $feature;
            }
        }
        sort($features, SORT_STRING);

        return $features;
    }
}
