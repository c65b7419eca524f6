<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\MetricsStream;
use App\Actions\Comparisons\StoredRows;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Plan\WeighedTopic;
use GreaterReach\Core\Priority\Effort;

/** What the comparison on show says about the items of a roadmap: which keywords count in which, and what they are worth together. */
final readonly class PlanFacts
{
    /** @param array<string, ItemFacts> $items key of an item → what is said of it */
    private function __construct(private array $items, private Effort $effort)
    {
    }

    /** Of all items of a study's side, with the season of one alone, or of none. */
    public static function about(Study $study, ?PlanItem $one): self
    {
        return self::of(
            $study,
            $study->comparison,
            array_values(PlanItem::of($study)->orderBy('id')->get()->all()),
            static fn(PlanItem $item): bool => $item->id === $one?->id,
        );
    }

    /**
     * @param list<PlanItem>           $items    all of the roadmap, since no keyword counts in two; perhaps some that may come to be
     * @param ?\Closure(PlanItem): bool $seasonal whether the season of an item is wanted; null wants them all
     */
    public static function of(Study $study, ?Comparison $comparison, array $items, ?\Closure $seasonal = null): self
    {
        $effort = $study->rulebook()->effort();
        // What was compared from another side says nothing about ours.
        $isOurs = $comparison !== null && $comparison->domains[0]['id'] === $study->ownDomain()->id;
        $models = $isOurs ? $comparison->models() : null;
        if (! $isOurs || $models === null || $items === []) {
            return new self([], $effort);
        }
        $rows = new RoadmapRows($study, $comparison, $items);
        $open = $rows->open();
        $years = self::years($study, array_values(array_filter(
            $open,
            static fn(int $number): bool => $seasonal === null || $seasonal($items[$number]),
            ARRAY_FILTER_USE_KEY,
        )));
        $weigher = new TopicWeigher($study->rulebook()->weighing(), $models->comfort);
        $promises = new ForecastPages($study, $models);
        $stored = StoredRows::of($study, $models);
        $facts = [];
        foreach ($items as $number => $item) {
            $topic = $rows->topics[$number];
            $weighed = self::weigh($weigher, $stored, $rows, $item, $topic, $open[$number]);
            $setAside = $open[$number] === [] && ! $item->isLinks() ? $rows->setAside($item, $topic) : null;
            $facts[$item->key()] = new ItemFacts($topic, $weighed, $open[$number], $years, $setAside, $promises);
        }

        return new self($facts, $effort);
    }

    public function at(PlanItem $item): ItemFacts
    {
        return $this->items[$item->key()] ?? new ItemFacts(null, null, [], [], null, null);
    }

    public function effort(): Effort
    {
        return $this->effort;
    }

    /** @param list<WeighedRow> $open */
    private static function weigh(
        TopicWeigher $weigher,
        StoredRows $stored,
        RoadmapRows $rows,
        PlanItem $item,
        ?string $topic,
        array $open,
    ): ?WeighedTopic {
        $keywords = [];
        foreach ($stored->weighed(array_filter($open, static fn(WeighedRow $row): bool => $row->target !== null)) as [, $opportunity]) {
            $keywords[] = OpenKeyword::of($opportunity);
        }

        return $keywords === []
            ? null
            : $weigher->weigh($item->name, $rows->primary((string) $topic), $keywords, $rows->ownPage($item, $topic));
    }

    /**
     * @param list<list<WeighedRow>> $open of each item
     *
     * @return array<string, Metrics> keyword → its monthly volumes
     */
    private static function years(Study $study, array $open): array
    {
        return MetricsStream::years(
            $study,
            array_map(static fn(WeighedRow $row): string => $row->keyword, array_merge([], ...$open)),
        );
    }
}
