<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\KeyRange;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Priority\Weigher;

/** Compares and weighs what was gathered of a range of keywords, by what the whole study has taught. */
final class WeighKeywords
{
    /** @var array<int, array<string, int>> study → URL key → referring domains: the same for all ranges */
    private array $links = [];

    /**
     * @param iterable<string> $gathered lines as GatheredLine makes them
     * @param iterable<string> $found    lines as TopicFacts makes them, of the same keywords
     * @param MemberFiles      $members  get what each brings to its topic; complete before the last row is given
     *
     * @return \Generator<int, string> a row each, as COPY reads it
     */
    public function execute(
        Study $study,
        Models $models,
        BrandMatcher $brands,
        ComparedSnapshots $snapshots,
        int $within,
        KeyRange $range,
        RowLines $rows,
        iterable $gathered,
        iterable $found,
        MemberFiles $members,
    ): \Generator {
        $facts = new KeywordStreams($study->id, $range);
        $judgements = $facts->judgements();
        $measured = $facts->measuredClicks();
        $setAside = $facts->setAside();
        $gate = $study->rulebook()->fitGate();
        $links = $this->links[$study->id] ??= $facts->pageLinks();
        $weigher = new Weigher($study->rulebook()->weighing(), $models, $brands);
        $comparator = new Comparator($within, $study->rulebook()->float('movement_noise'));
        $none = new Judgement();
        $topics = (static fn(): \Generator => yield from $found)();
        foreach ($gathered as $line) {
            [$keyword, $metrics, $median, $features] = GatheredLine::weighable($line);
            [$topic, $hasPage, $ground] = TopicFacts::read($topics->current());
            $topics->next();
            $row = $comparator->row($keyword, $snapshots->previous[0] !== null);
            $judgement = $judgements->at($row->keyword) ?? $none;
            $opportunity = $weigher->weigh(new Candidate(
                $row,
                $metrics->corrected($judgement->difficulty),
                $judgement,
                $ground,
                $median,
                $links[$row->ownUrl() ?? ''] ?? 0,
                $measured->at($row->keyword),
                $hasPage,
                TacticRule::hasPageConflict($row),
                $judgement->topic ?? $topic,
                $features,
            ));
            $weighed = WeighedRow::weighed($opportunity, $topic);
            $isOpen = $weighed->isOpen($gate) && $setAside->at($row->keyword) === null;
            $members->add(TopicMember::of($weighed, $keyword->rankings[0], $isOpen ? OpenKeyword::of($opportunity) : null));
            yield $rows->of($weighed);
        }
        $members->end();
    }
}
