<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\UpdateShownCounts;
use App\Exceptions\UserError;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Mark;
use GreaterReach\Core\Plan\Unit;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Puts pages on the roadmap, or single keywords where a person plans one by itself, and keeps what is said of them then. A keyword of a
 * topic that is planned already joins its card.
 */
final readonly class AddToPlan
{
    public function __construct(private UpdateShownCounts $count)
    {
    }

    /** Adds the pages of what is shortlisted and weighed; the rest of the shortlist waits until it is. */
    public function shortlist(Study $study, int $user): int
    {
        $comparison = $study->comparison;
        if ($comparison === null) {
            return 0;
        }
        /** @var Collection<int, string> $topics */
        $topics = $comparison->table()->query()
            ->whereNotNull('tactic')
            ->whereIn('keyword', DB::table('decisions')->select('keyword')
                ->where([['study_id', '=', $study->id], ['mark', '=', Mark::Shortlisted->value]]))
            ->distinct()
            ->orderBy('topic')
            ->pluck('topic');

        return $this->add($study, array_map(
            static fn(string $topic): PlanItem => PlanItem::draft($study, Unit::Topic, $topic),
            array_values($topics->all()),
        ), $user, false);
    }

    /** @param list<string> $topics of the comparison on show */
    public function topics(Study $study, array $topics, int $user): int
    {
        return $this->add(
            $study,
            array_map(static fn(string $topic): PlanItem => PlanItem::draft($study, Unit::Topic, $topic), $topics),
            $user,
        );
    }

    /**
     * @param list<string> $keywords of the comparison on show
     * @param bool         $alone    each by itself, rather than the pages that serve them
     */
    public function keywords(Study $study, array $keywords, int $user, bool $alone = false): int
    {
        if ($alone) {
            return $this->add(
                $study,
                array_map(static fn(string $keyword): PlanItem => PlanItem::draft($study, Unit::Keyword, $keyword), $keywords),
                $user,
            );
        }
        $topics = $study->comparison?->table()->query()->whereIn('keyword', $keywords)->pluck('topic', 'keyword')->all() ?? [];
        foreach ($keywords as $keyword) {
            if (! isset($topics[$keyword])) {
                throw self::unknown($keyword);
            }
        }
        /** @var array<string, string> $topics */
        $planned = PlanItem::of($study)->where('unit', Unit::Keyword)->whereIn('name', $keywords)->pluck('name')->flip()->all();

        return $this->topics($study, array_values(array_unique(array_values(array_diff_key($topics, $planned)))), $user);
    }

    /** Adds the links to earn for the page of a topic as an item of its own. */
    public function links(Study $study, string $topic, int $links, int $user): int
    {
        $lead = $study->comparison?->topicTable()->query()->where('topic', $topic)->value('lead')
            ?? throw UserError::because('links.topic', sprintf('The current comparison has no page for "%s".', $topic));
        $item = PlanItem::draft($study, Unit::Links, $topic)->fill([
            'lead' => $lead,
            'tactic' => PlanItem::EARN_LINKS,
            'effort_days' => $study->rulebook()->effort()->forLinks($links),
            'links_to_earn' => $links,
            'updated_by' => $user,
        ]);

        return PlanItem::of($study)->where('unit', Unit::Links)->where('name', $topic)->exists() ? 0 : (int) $item->save();
    }

    /**
     * @param list<PlanItem> $wanted
     * @param bool           $isStrict refuses what nothing can be planned for, rather than leave it out
     *
     * @return int how many are new
     */
    private function add(Study $study, array $wanted, int $user, bool $isStrict = true): int
    {
        return DB::transaction(function () use ($study, $wanted, $user, $isStrict): int {
            /** @var list<PlanItem> $there */
            $there = PlanItem::of($study)->orderBy('id')->get()->all();
            $known = array_flip(array_map(static fn(PlanItem $item): string => $item->key(), $there));
            $new = array_values(array_filter($wanted, static fn(PlanItem $item): bool => ! isset($known[$item->key()])));
            if ($new === []) {
                return 0;
            }
            $facts = PlanFacts::of($study, $study->comparison, [...$there, ...$new]);
            $models = $study->comparison?->models();
            $say = $models === null ? null : new RecordPlannedForecast($study, $models);
            $added = 0;
            foreach ($new as $item) {
                $ofItem = $facts->at($item);
                if ($ofItem->weighed !== null) {
                    $added += $this->insert($item, $ofItem, $facts, $say, $user);
                } elseif ($isStrict) {
                    self::refuse($item, $ofItem, array_map($facts->at(...), $there));
                }
            }
            $this->count->ofStudy($study);

            return $added;
        });
    }

    /**
     * Nothing is refused where another item holds its keywords, as when each is planned by itself.
     *
     * @param list<ItemFacts> $there what is said of the items that are there
     */
    private static function refuse(PlanItem $item, ItemFacts $facts, array $there): void
    {
        if ($facts->setAside !== null) {
            throw UserError::because('keywords', sprintf('All keywords of "%s" are set aside. Restore one in Weigh first.', $item->name));
        }
        if ($facts->topic === null) {
            throw self::unknown($item->name);
        }
        $holders = array_filter($there, static fn(ItemFacts $one): bool => $one->topic === $facts->topic && $one->open !== []);
        if ($holders === []) {
            throw UserError::because('keywords', sprintf(
                '"%s" has no keyword left to win: we rank first or they are competitors’ brands.',
                $item->name,
            ));
        }
    }

    private function insert(PlanItem $item, ItemFacts $facts, PlanFacts $all, ?RecordPlannedForecast $say, int $user): int
    {
        $tactic = $facts->weighed?->work->tactic;
        $said = $tactic === null ? null : $say?->of($item->drawsAs(), $facts, $tactic->tactic, $all->effort()->ramp($tactic->tactic));

        return DB::table('plan_items')->insertOrIgnore([
            'study_id' => $item->study_id,
            'domain_id' => $item->domain_id,
            'unit' => $item->unit->value,
            'name' => $item->name,
            'lead' => $facts->weighed?->lead->keyword,
            'tactic' => (string) $tactic,
            'effort_days' => $facts->weighed?->effortDays,
            'links_to_earn' => $facts->weighed?->lead->linksToEarn,
            'said' => $said === null ? null : json_encode($said->toArray(), JSON_THROW_ON_ERROR),
            'updated_by' => $user,
        ]);
    }

    private static function unknown(string $name): UserError
    {
        return UserError::because(
            'keywords',
            sprintf('"%s" has no opportunity in the current comparison, so it can’t be planned.', $name),
        );
    }
}
