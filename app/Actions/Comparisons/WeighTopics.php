<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\CopyWriter;
use App\Support\Database\Figures;
use App\Support\Mark;
use App\Support\Rows\TopicRows;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Plan\ServingPage;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/**
 * Weighs the topics of a comparison by its weighed rows: those of the list that were not set aside are open. Topics without an open
 * keyword are left out.
 */
final readonly class WeighTopics
{
    /** Topics whose rows are read together when they are weighed again. */
    private const CHUNK = 200;

    /**
     * @param iterable<TopicMember> $members the keywords of one topic after those of another
     *
     * @return \Generator<int, string> a topic each, as COPY reads it
     */
    public function lines(Rulebook $rulebook, Models $models, int $comparison, iterable $members): \Generator
    {
        $weigher = new TopicWeigher($rulebook->weighing(), $models->comfort);
        $serving = new ServingPage($models->curve);
        foreach (self::together($members) as $keywords) {
            $topic = $keywords[0]->topic;
            $open = $pages = $volumes = [];
            foreach ($keywords as $member) {
                $pages[] = [$member->ownPages, $member->potential];
                $volumes[$member->keyword] = $member->volume;
                if ($member->open !== null) {
                    $open[] = $member->open;
                }
            }
            if ($open !== []) {
                $weighed = $weigher->weigh($topic, TopicWeigher::primary($topic, $volumes), $open, $serving->of($pages));
                yield CopyWriter::line(TopicRows::cells($comparison, $weighed));
            }
        }
    }

    /**
     * Weighs some topics again after a decision about their keywords.
     *
     * @param list<string> $topics
     */
    public function again(Study $study, Comparison $comparison, array $topics): void
    {
        $models = $comparison->models();
        if ($topics === [] || $models === null) {
            return;
        }
        DB::transaction(function () use ($study, $comparison, $models, $topics): void {
            // One after the other: who comes second finds what the first has written.
            DB::statement('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["topics of {$comparison->id}"]);
            $named = json_encode($topics, JSON_THROW_ON_ERROR);
            $table = $comparison->topicTable();
            DB::delete(
                "DELETE FROM {$table->name()} WHERE comparison_id = ? AND topic IN (SELECT json_array_elements_text(?::json))",
                [$comparison->id, $named],
            );
            $writer = TopicRows::writer($table);
            $members = self::members($study, $comparison, $models, $topics);
            foreach ($this->lines($study->rulebook(), $models, $comparison->id, $members) as $line) {
                $writer->add($line);
            }
            $writer->flush();
        });
    }

    /**
     * @param iterable<TopicMember> $members
     *
     * @return \Generator<int, non-empty-list<TopicMember>> those of one topic, in key order
     */
    private static function together(iterable $members): \Generator
    {
        $group = [];
        foreach ($members as $member) {
            if ($group !== [] && $group[0]->topic !== $member->topic) {
                yield self::inKeyOrder($group);
                $group = [];
            }
            $group[] = $member;
        }
        if ($group !== []) {
            yield self::inKeyOrder($group);
        }
    }

    /**
     * @param non-empty-list<TopicMember> $members
     *
     * @return non-empty-list<TopicMember>
     */
    private static function inKeyOrder(array $members): array
    {
        if (isset($members[1])) {
            usort($members, static fn(TopicMember $one, TopicMember $other): int => strcmp($one->keyword, $other->keyword));
        }

        return $members;
    }

    /**
     * @param list<string> $topics
     *
     * @return \Generator<int, TopicMember> by topic
     */
    private static function members(Study $study, Comparison $comparison, Models $models, array $topics): \Generator
    {
        $gate = $study->rulebook()->fitGate();
        foreach (array_chunk(array_unique($topics), self::CHUNK) as $chunk) {
            $pages = self::ownPages($comparison, $chunk);
            $rows = $comparison->table()->query()->whereIn('topic', $chunk)->orderBy('topic')->select('comparison_rows.*')->selectRaw(
                'EXISTS (SELECT 1 FROM decisions WHERE study_id = ? AND keyword = comparison_rows.keyword AND mark = ?) AS is_aside',
                [$study->id, Mark::SetAside->value],
            );
            $aside = [];
            $read = (static function () use ($rows, &$aside): \Generator {
                foreach ($rows->get() as $found) {
                    $row = WeighedRow::fromDatabase($found);
                    $aside[$row->keyword] = $found->is_aside !== false;
                    yield $row;
                }
            })();
            foreach (StoredRows::of($study, $models)->weighed($read) as [$row, $opportunity]) {
                $isOpen = $row->isOpen($gate) && ! $aside[$row->keyword];
                yield TopicMember::of($row, $pages[$row->keyword] ?? [], $isOpen ? OpenKeyword::of($opportunity) : null);
            }
        }
    }

    /**
     * @param list<string> $topics
     *
     * @return array<string, list<Ranking>> keyword of these topics → our pages that rank for it
     */
    private static function ownPages(Comparison $comparison, array $topics): array
    {
        $snapshot = self::ownSnapshot($comparison);
        if ($snapshot === null) {
            return [];
        }
        $rows = $comparison->table()->query()->whereIn('topic', $topics)
            ->join('rankings', 'rankings.keyword', '=', 'comparison_rows.keyword')
            ->where('rankings.study_id', $comparison->study_id)->where('rankings.snapshot_id', $snapshot)
            ->get(['rankings.keyword', 'rankings.position', 'rankings.url']);
        $pages = [];
        /** @var object{keyword: string, position: int, url: ?string} $row */
        foreach ($rows as $row) {
            $pages[$row->keyword][] = new Ranking($row->keyword, $row->position, $row->url);
        }

        return $pages;
    }

    /** The snapshot of ours that was compared; null where there was none, or it is no more. */
    private static function ownSnapshot(Comparison $comparison): ?int
    {
        $own = $comparison->domains[0];

        return $own['snapshot'] === null ? null : Figures::int(
            Snapshot::query()->where('domain_id', $own['id'])->where('channel', $comparison->channel)->where('day', $own['snapshot'])
                ->value('id'),
        );
    }
}
