<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Study;
use App\Support\Database\KeyRange;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Winning\WinChance;

/** Compares and weighs what was gathered of a range of keywords, by what the whole study has taught. */
final class WeighKeywords
{
    /** @var array<int, array<string, int>> study → URL key → referring domains: the same for all ranges */
    private array $links = [];

    /**
     * @param iterable<string> $gathered lines as GatheredLine makes them
     * @param iterable<string> $found    lines as FoundTopics makes them, of the same keywords
     *
     * @return \Generator<int, string> a row each, as COPY reads it
     */
    public function execute(Study $study, Models $models, ComparedSnapshots $snapshots, int $within, KeyRange $range, RowLines $rows, iterable $gathered, iterable $found): \Generator
    {
        $facts = new KeywordFacts($study->id, $range);
        $judgements = $facts->judgements();
        $measured = $facts->measuredClicks();
        $links = $this->links[$study->id] ??= $facts->pageLinks();
        $weigher = self::weigher($study, $models);
        $comparator = new Comparator($within);
        $none = new Judgement();
        $topics = (static fn(): \Generator => yield from $found)();
        foreach ($gathered as $line) {
            [$keyword, $metrics, $median] = GatheredLine::weighable($line);
            [$topic, $ownPages] = FoundTopics::read($topics->current());
            $topics->next();
            $row = $comparator->row($keyword, $snapshots->previous[0] !== null);
            $judgement = $judgements->at($row->keyword) ?? $none;
            // Whether one of our URLs ranks for another keyword of the topic, wherever ours is for this one.
            $others = $ownPages - (TacticRule::isOwnPage($keyword->positions()[0]) ? 1 : 0);
            yield $rows->weighed($weigher->weigh(new Candidate(
                $row,
                $metrics->corrected($judgement->difficulty),
                $judgement,
                $median,
                $links[$row->ownUrl() ?? ''] ?? 0,
                $measured->at($row->keyword),
                $others > 0,
                $judgement->topic ?? $topic,
            )), $topic);
        }
    }

    private static function weigher(Study $study, Models $models): Weigher
    {
        $rulebook = $study->rulebook();
        $chance = new WinChance($models->winModel, $rulebook->float('head_start_11_20'), $rulebook->float('head_start_21_50'));

        return new Weigher($rulebook, $models->curve, $models->comfort, $chance, $models->links, $models->brands);
    }
}
