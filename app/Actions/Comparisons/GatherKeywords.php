<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\KeyRange;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Rulebook\Rulebook;

/** Merges the lists of all domains and looks up what is known of each keyword, whatever `within` is. */
final readonly class GatherKeywords
{
    /** @return \Generator<int, string> lines as GatheredLine makes them, in key order */
    public function execute(ComparedSnapshots $snapshots, Rulebook $rulebook, KeyRange $range): \Generator
    {
        $facts = new KeywordStreams($snapshots->study, $range);
        $metrics = MetricsStream::open($snapshots->study, $snapshots->domains, $rulebook->precedence(), $range);
        $medians = $facts->pageOneMedians();
        $found = [$snapshots->currentStreams($range), $snapshots->previousStreams($range), $facts->listedKeywords()];
        foreach (Comparator::gather(...$found) as $gathered) {
            yield GatheredLine::of($gathered, $metrics->of($gathered->keyword), $medians->at($gathered->keyword));
        }
    }
}
