<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Mark;
use App\Support\Rows\ListedRows;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\ItemKeywords;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Plan\Unit;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The rows of a comparison that the items of a roadmap are about. */
final class RoadmapRows
{
    /** @var list<?string> topic of each item as it is called now; null where it is gone */
    public readonly array $topics;

    /** @var array<string, WeighedRow> keyword → row, of the items' topics and of keywords planned by themselves, in key order */
    private readonly array $rows;

    /** @var array<string, bool> keyword → whether it belongs on the list of opportunities */
    private array $listed = [];

    /** @var array<string, array{reason: string}> keyword → why it was set aside */
    private readonly array $setAside;

    /** @var array<string, ?string> topic → the own page that serves it */
    private readonly array $ownPages;

    /** @param list<PlanItem> $items */
    public function __construct(private readonly Study $study, private readonly Comparison $comparison, private readonly array $items)
    {
        $near = $this->read();
        $this->topics = $this->topicsOfItems($near);
        $topics = array_values(array_unique(array_filter($this->topics, static fn(?string $topic): bool => $topic !== null)));
        $this->rows = $this->about($topics, $near);
        $this->setAside = $this->marked();
        /** @var array<string, ?string> $pages */
        $pages = $comparison->topicTable()->query()->whereIn('topic', $topics)
            ->pluck('own_url', 'topic')->all();
        $this->ownPages = $pages;
    }

    /** @return list<list<WeighedRow>> the rows that count in each item, in key order */
    public function open(): array
    {
        $open = [];
        foreach ($this->rows as $keyword => $row) {
            if ($this->listed[$keyword] && ! isset($this->setAside[$keyword])) {
                $open[$keyword] = (string) $row->topic;
            }
        }
        $claimed = ItemKeywords::of(array_map(static fn(PlanItem $item, ?string $topic): array => [
            'unit' => $item->unit,
            'name' => $item->name,
            'topic' => $topic,
            'is_alive' => $item->isAlive(),
            'planned' => array_map(static fn(ForecastKeyword $one): string => $one->keyword, $item->said->keywords ?? []),
        ], $this->items, $this->topics), $open);

        return array_map(fn(array $keywords): array => array_map(
            fn(string $keyword): WeighedRow => $this->rows[$keyword],
            $keywords,
        ), $claimed);
    }

    /** The primary keyword of a topic, whether open or not. */
    public function primary(string $topic): string
    {
        $volumes = [];
        foreach ($this->rows as $keyword => $row) {
            if ($row->topic === $topic) {
                $volumes[$keyword] = $row->volume;
            }
        }

        return $volumes === [] ? $topic : TopicWeigher::primary($topic, $volumes);
    }

    public function ownPage(PlanItem $item, ?string $topic): ?string
    {
        return $item->unit === Unit::Keyword ? ($this->rows[$item->name] ?? null)?->ownUrl : $this->ownPages[(string) $topic] ?? null;
    }

    /** @return ?array{reason: string} of its keyword, or of its lead before others of its topic; null where no one set one aside */
    public function setAside(PlanItem $item, ?string $topic): ?array
    {
        if ($item->unit === Unit::Keyword || isset($this->setAside[$item->lead])) {
            return $this->setAside[$item->unit === Unit::Keyword ? $item->name : $item->lead] ?? null;
        }
        foreach ($this->setAside as $keyword => $why) {
            if ($topic !== null && $this->rows[$keyword]->topic === $topic) {
                return $why;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function namesOfTopics(): array
    {
        return array_values(array_map(static fn(PlanItem $item): string => $item->name, array_filter(
            $this->items,
            static fn(PlanItem $item): bool => $item->unit !== Unit::Keyword,
        )));
    }

    /** @return list<string> of each item the keyword that leads it: the item itself, or the one that led when it was planned */
    private function leads(): array
    {
        return array_map(static fn(PlanItem $item): string => $item->unit === Unit::Keyword ? $item->name : $item->lead, $this->items);
    }

    /**
     * @param array<string, WeighedRow> $near
     *
     * @return list<?string> a topic keeps its name, or is the one to which the keyword went that led when it was planned
     */
    private function topicsOfItems(array $near): array
    {
        $known = [];
        $ofKeyword = [];
        foreach ($near as $keyword => $row) {
            $known[(string) $row->topic] = true;
            $ofKeyword[$keyword] = $row->topic;
        }

        return array_map(
            static fn(PlanItem $item, string $lead): ?string => $item->unit !== Unit::Keyword && isset($known[$item->name])
                ? $item->name
                : $ofKeyword[$lead] ?? null,
            $this->items,
            $this->leads(),
        );
    }
    /** @return array<string, WeighedRow> keyword → row, of all topics that the items or the keywords that lead them may belong to */
    private function read(): array
    {
        $rows = [];
        $ofLead = self::among('keyword', $this->leads());
        $these = $this->comparison->table()->query()->whereRaw(...self::among('topic', $this->namesOfTopics()))
            ->orWhereIn('topic', $this->comparison->table()->query()->select('topic')->whereRaw(...$ofLead))
            ->orWhereRaw(...$ofLead)
            ->selectRaw('*, ('.ListedRows::condition($this->study->rulebook()->fitGate()).') IS TRUE AS listed');
        /** @var object{keyword: string, listed: bool}&\stdClass $found */
        foreach ($these->get() as $found) {
            $rows[$found->keyword] = WeighedRow::fromDatabase($found);
            $this->listed[$found->keyword] = $found->listed;
        }

        return $rows;
    }

    /**
     * @param list<string>                 $topics
     * @param array<string, WeighedRow> $rows
     *
     * @return array<string, WeighedRow> those of these topics and those planned by themselves, in key order
     */
    private function about(array $topics, array $rows): array
    {
        $alone = [];
        foreach ($this->items as $item) {
            if ($item->unit === Unit::Keyword) {
                $alone[$item->name] = true;
            }
        }
        $topics = array_flip($topics);
        $rows = array_filter(
            $rows,
            static fn(WeighedRow $row): bool => isset($topics[(string) $row->topic]) || isset($alone[$row->keyword]),
        );
        ksort($rows, SORT_STRING);

        return $rows;
    }

    /** @return array<string, array{reason: string}> */
    private function marked(): array
    {
        /** @var Collection<array-key, string> $reasons */
        $reasons = DB::table('decisions')
            ->where('study_id', $this->study->id)
            ->where('mark', Mark::SetAside->value)
            ->whereRaw(...self::among('keyword', array_map(strval(...), array_keys($this->rows))))
            ->orderBy('keyword')
            ->selectRaw("keyword, coalesce(reason, '') AS reason")
            ->pluck('reason', 'keyword');

        $marked = [];
        foreach ($reasons as $keyword => $reason) {
            $marked[(string) $keyword] = ['reason' => $reason];
        }

        return $marked;
    }

    /**
     * @param list<string> $names as many as there are: a question has but so many placeholders
     *
     * @return array{string, list<string>}
     */
    private static function among(string $column, array $names): array
    {
        return ["{$column} IN (SELECT json_array_elements_text(?::json))", [json_encode($names, JSON_THROW_ON_ERROR)]];
    }
}
