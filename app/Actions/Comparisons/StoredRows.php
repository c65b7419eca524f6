<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Rulebook\Rulebook;

/**
 * The one way from stored rows back into the rules: for decisions, previews, topics and plans. Whether a row is listed hangs on no
 * decision, so brands are not asked for.
 */
final readonly class StoredRows
{
    private const CHUNK = 1000;

    private Weigher $weigher;

    public function __construct(private int $study, Models $models, Rulebook $rulebook)
    {
        $this->weigher = new Weigher($rulebook->weighing(), $models, BrandMatcher::of([]));
    }

    public static function of(Study $study, Models $models): self
    {
        return new self($study->id, $models, $study->rulebook());
    }

    /**
     * @param iterable<WeighedRow> $rows
     *
     * @return \Generator<int, array{WeighedRow, Opportunity}> in the same order
     */
    public function weighed(iterable $rows): \Generator
    {
        $chunk = [];
        foreach ($rows as $row) {
            $chunk[] = $row;
            if (\count($chunk) === self::CHUNK) {
                yield from $this->chunk($chunk);
                $chunk = [];
            }
        }
        yield from $this->chunk($chunk);
    }

    /**
     * @param list<WeighedRow> $rows
     *
     * @return list<array{WeighedRow, Opportunity}>
     */
    private function chunk(array $rows): array
    {
        $keywords = array_map(static fn(WeighedRow $row): string => $row->keyword, $rows);
        $judgements = $rows === [] ? [] : KeywordStreams::judgementsOf($this->study, $keywords);

        return array_map(
            fn(WeighedRow $row): array => [$row, $this->weigher->weigh($row->candidate($judgements[$row->keyword] ?? new Judgement()))],
            $rows,
        );
    }
}
