<?php

declare(strict_types=1);

use GreaterReach\Core\Clicks\CtrCurve;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Items of a roadmap are pages. Keyword items of one topic that are not done fold into one: in the earliest month, as far as the furthest,
 * with all owners and all that was written; the items as they were stay in `folded`. What is done stays an item by itself, with the outcome
 * it has. What was said and promised becomes one shape.
 */
return new class extends Migration {
    private const FURTHER = ['planned' => 0, 'writing' => 1, 'published' => 2];

    public function up(): void
    {
        DB::statement('ALTER TABLE plan_items RENAME keyword TO name');
        DB::statement(<<<'SQL'
            ALTER TABLE plan_items
                ADD unit text NOT NULL DEFAULT 'topic' CHECK (unit IN ('topic', 'keyword')),
                ADD lead text COLLATE "C",
                ADD folded jsonb NOT NULL DEFAULT '[]',
                DROP CONSTRAINT plan_items_study_id_domain_id_keyword_key
            SQL);
        DB::statement("UPDATE plan_items SET lead = name, unit = 'keyword'");
        DB::statement('ALTER TABLE plan_items ALTER lead SET NOT NULL');
        foreach (DB::table('plan_items')->get() as $item) {
            DB::table('plan_items')->where('id', $item->id)->update(['said' => self::said($item)]);
        }
        DB::statement('ALTER TABLE plan_items DROP promise');
        foreach (DB::table('plan_items')->distinct()->get(['study_id', 'domain_id']) as $side) {
            $this->foldSide($side->study_id, $side->domain_id);
        }
        DB::statement('ALTER TABLE plan_items ADD UNIQUE (study_id, domain_id, unit, name)');
    }

    /** One shape for what was said when it was planned and what was promised when it was done. */
    private static function said(stdClass $item): ?string
    {
        $said = json_decode($item->said ?? 'null', true, 8, JSON_THROW_ON_ERROR);
        $promise = json_decode($item->promise ?? 'null', true, 8, JSON_THROW_ON_ERROR);
        if ($said === null && $promise === null) {
            return null;
        }
        $gain = $promise['gain'] ?? $said['gain'] ?? null;
        $chance = $promise['win_chance'] ?? $said['win_chance'] ?? null;
        $position = $promise['position_then'] ?? $said['position'] ?? null;
        $target = $promise['target'] ?? $said['target'] ?? null;
        $searches = self::searches($gain, $position, $target);
        $visits = $promise['visits_then'] ?? ($position === null ? 0.0 : $searches * CtrCurve::default()->at($position));

        return json_encode([
            'lead' => $item->lead,
            'reach' => $said['reach'] ?? null,
            'win_chance' => $chance,
            'expected_gain' => $said['expected_gain'] ?? ($gain === null || $chance === null ? null : $gain * $chance),
            'gain' => $gain,
            'position' => $position,
            'target' => $target,
            'effect' => 1,
            'ramp' => self::ramp($item),
            'ends' => $gain > 0 && $chance > 0 ? [$chance] : [],
            'gains' => $gain > 0 && $chance > 0 ? [$gain] : [],
            'keywords' => [['keyword' => $item->lead, 'position' => $position, 'searches' => $searches, 'visits' => $visits]],
        ], JSON_THROW_ON_ERROR);
    }

    /** The gain tells how many searches stood behind it, by the default curve. */
    private static function searches(int|float|null $gain, ?int $position, ?int $target): ?float
    {
        $curve = CtrCurve::default();
        $more = $target === null ? 0.0 : $curve->at($target) - ($position === null ? 0.0 : $curve->at($position));

        return $gain === null || $more <= 0.0 ? null : $gain / $more;
    }

    /** By the study's rulebook, or as it was assumed from memory. */
    private static function ramp(stdClass $item): int
    {
        $tactic = explode(' ', $item->tactic)[0];
        $key = 'ramp_'.($tactic === 'test' ? 'title' : $tactic);
        $set = DB::table('rulebook_settings')->where('study_id', $item->study_id)->where('key', $key)->value('value');

        return (int) ($set ?? ['new' => 4, 'extend' => 3, 'test' => 1][$tactic] ?? 2);
    }

    private function foldSide(int $study, int $domain): void
    {
        $topics = self::topics($study, $domain);
        $items = DB::table('plan_items')->where('study_id', $study)->where('domain_id', $domain)->where('status', '!=', 'done')
            ->orderBy('id')->get();
        $pages = $items->groupBy(
            static fn(stdClass $item): string => json_encode(
                [$topics[$item->name] ?? null, $item->status === 'dropped'],
                JSON_THROW_ON_ERROR,
            ),
        );
        foreach ($pages as $key => $ofPage) {
            [$topic, $isDropped] = json_decode($key, true, 4, JSON_THROW_ON_ERROR);
            $isTwice = $isDropped && $pages->has(json_encode([$topic, false], JSON_THROW_ON_ERROR));
            // Without a topic, or dropped beside what is not, it stays a keyword by itself.
            if ($topic !== null && ! $isTwice) {
                $this->fold($topic, $ofPage);
            }
        }
    }

    /** @return array<string, string> keyword → topic, by the comparison on show; none where that was made from another side */
    private static function topics(int $study, int $domain): array
    {
        $comparison = DB::table('comparisons')
            ->join('studies', 'studies.comparison_id', '=', 'comparisons.id')
            ->where('studies.id', $study)
            ->first(['comparisons.id', 'has_own_rows', 'domains']);
        if ($comparison === null || (json_decode($comparison->domains, true, 8)[0]['id'] ?? null) !== $domain) {
            return [];
        }

        return DB::table($comparison->has_own_rows ? "comparison_rows_c{$comparison->id}" : 'comparison_rows')
            ->where('study_id', $study)
            ->where('comparison_id', $comparison->id)
            ->whereNotNull('topic')
            ->whereIn('keyword', DB::table('plan_items')->where('study_id', $study)->where('domain_id', $domain)->select('name'))
            ->pluck('topic', 'keyword')
            ->all();
    }

    /** @param Collection<int, stdClass> $items of one topic, at least one */
    private function fold(string $topic, Collection $items): void
    {
        $kept = $items->firstWhere('name', $topic) ?? $items->first();
        $owners = $items->pluck('owner')->filter(static fn(string $owner): bool => $owner !== '')->unique();
        DB::table('plan_items')->whereIn('id', $items->pluck('id')->reject($kept->id))->delete();
        DB::table('plan_items')->where('id', $kept->id)->update([
            'unit' => 'topic',
            'name' => $topic,
            'month' => $items->pluck('month')->filter()->min(),
            'status' => $items->pluck('status')->sortBy(static fn(string $status): int => self::FURTHER[$status] ?? 0)->last(),
            'owner' => mb_substr($owners->implode(', '), 0, 100),
            'due' => $items->pluck('due')->filter()->min(),
            'is_pinned' => $items->contains('is_pinned', true),
            'brief' => $items->count() === 1 ? $kept->brief : self::briefs($items),
            'folded' => $items->count() === 1 ? '[]' : json_encode($items->values()->all(), JSON_THROW_ON_ERROR),
            'version' => $kept->version + 1,
        ]);
        $this->foldDrafts($kept, $items);
    }

    /** @param Collection<int, stdClass> $items */
    private static function briefs(Collection $items): string
    {
        $parts = [];
        foreach ($items as $item) {
            foreach (json_decode($item->brief, true, 8, JSON_THROW_ON_ERROR) as $field => $text) {
                if ((string) $text !== '') {
                    $parts[$field][] = "{$item->name}: {$text}";
                }
            }
        }

        return json_encode((object) array_map(static fn(array $texts): string => implode("\n", $texts), $parts), JSON_THROW_ON_ERROR);
    }

    /**
     * In each draft the page lies in the earliest of the months in which its keywords lay.
     *
     * @param Collection<int, stdClass> $items
     */
    private function foldDrafts(stdClass $kept, Collection $items): void
    {
        foreach (DB::table('plan_drafts')->where('study_id', $kept->study_id)->get(['id', 'placements']) as $draft) {
            $placements = json_decode($draft->placements, true, 4, JSON_THROW_ON_ERROR);
            $ofPage = array_intersect_key($placements, array_flip($items->pluck('id')->all()));
            if ($ofPage !== []) {
                $placements = array_diff_key($placements, $ofPage) + [$kept->id => min($ofPage)];
                DB::table('plan_drafts')->where('id', $draft->id)->update(['placements' => json_encode((object) $placements)]);
            }
        }
    }

    public function down(): void
    {
        throw new RuntimeException('Pages are not taken apart into their keywords again; restore the database from before instead.');
    }
};
