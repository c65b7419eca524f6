<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Comparison\Gathered;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Metrics\Metrics;

/**
 * Keeps what was gathered of each keyword in a temporary file, one JSON line each, to be read once more in the same
 * order: reading and merging the lists again would take far longer.
 */
final class KeywordSpool
{
    /** @var resource */
    private $file;

    public function __construct()
    {
        $this->file = tmpfile() ?: throw new \RuntimeException('No temporary file can be made in '.sys_get_temp_dir().'.');
    }

    /** @param ?float $median referring domains of the pages at 1–10 */
    public function add(Gathered $gathered, Metrics $metrics, ?float $median): void
    {
        $own = array_map(static fn(Ranking $page): array => [$page->position, $page->url], $gathered->rankings[0] ?? []);
        $line = json_encode([
            $gathered->keyword, $gathered->positions(), $own, $gathered->previous, $metrics->volume, $metrics->difficulty, $metrics->cpc,
            $metrics->advertiserCompetition, $metrics->monthly, $metrics->volumeIsDerived, $median,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR)."\n";
        if (fwrite($this->file, $line) !== \strlen($line)) {
            throw new \RuntimeException('The temporary file cannot be written; there may be no room left in '.sys_get_temp_dir().'.');
        }
    }

    /** @return \Generator<int, array{Gathered, Metrics, ?float}> of competitors the best position alone */
    public function read(): \Generator
    {
        rewind($this->file);
        while (($line = fgets($this->file)) !== false) {
            /** @var array{string, list<?int>, list<array{int, ?string}>, list<?int>, ?int, ?float, ?float, ?float, ?list<?int>, bool, ?float} $cells */
            $cells = json_decode($line, true, 4, JSON_THROW_ON_ERROR);
            [$keyword, $positions, $own, $previous, $volume, $difficulty, $cpc, $competition, $monthly, $derived, $median] = $cells;
            $ours = array_map(static fn(array $page): Ranking => new Ranking($keyword, $page[0], $page[1]), $own);
            $theirs = array_map(static fn(?int $position): array => $position === null ? [] : [new Ranking($keyword, $position)], \array_slice($positions, 1));
            yield [new Gathered($keyword, [$ours, ...$theirs], $previous), new Metrics($volume, $difficulty, $cpc, $competition, $monthly, $derived), $median];
        }
    }
}
