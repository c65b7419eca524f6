<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\CopyWriter;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use App\Support\Mark;
use App\Support\Rows\ListedRows;
use App\Support\Rows\TopicRows;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Plan\ServingPage;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/**
 * Weighs the topics of a comparison by its weighed rows: those of the list that were not set aside are open. Topics without an open
 * keyword are left out.
 */
final readonly class WeighTopics
{
    private const COLUMNS = 'r.topic, r.keyword, r.volume, r.own_position, r.target, r.difficulty, r.cpc, r.visits_now, r.potential, '
        .'r.gain, r.win_chance, r.expected_gain, r.horizon, r.tactic, r.links_to_earn, r.intent, r.score_fit';

    /**
     * @param iterable<TopicMember> $members the keywords of one topic after those of another
     *
     * @return \Generator<int, string> a topic each, as COPY reads it
     */
    public function lines(Rulebook $rulebook, Models $models, int $comparison, iterable $members): \Generator
    {
        $weigher = new TopicWeigher($rulebook->weighing(), $models->comfort, $rulebook->effort());
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
     * Some of them anew, after a decision about some of their keywords.
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
            foreach ($this->lines($study->rulebook(), $models, $comparison->id, self::members($study, $comparison, $named)) as $line) {
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
     * @param string $named JSON of the topics that are wanted
     *
     * @return \Generator<int, TopicMember> by topic
     */
    private static function members(Study $study, Comparison $comparison, string $named): \Generator
    {
        $pages = self::ownPages($comparison, $named);
        $columns = self::COLUMNS;
        $listed = ListedRows::condition($study->rulebook()->fitGate());
        $rows = RowStream::of(<<<SQL
            SELECT {$columns}, {$listed} AND NOT EXISTS (
                SELECT 1 FROM decisions d WHERE d.study_id = ? AND d.keyword = r.keyword AND d.mark = ?
            ) AS is_open
            FROM {$comparison->table()->from('r')} WHERE r.topic IN (SELECT json_array_elements_text(?::json)) ORDER BY r.topic
            SQL, [$study->id, Mark::SetAside->value, $named]);
        foreach ($rows as $row) {
            $keyword = (string) $row[1];
            yield new TopicMember(
                (string) $row[0],
                $keyword,
                Figures::int($row[2]),
                Figures::float($row[8]),
                $pages[$keyword] ?? [],
                $row[17] === true ? self::keyword($row) : null,
            );
        }
    }

    /** @param list<string|int|float|bool|null> $row */
    private static function keyword(array $row): OpenKeyword
    {
        return new OpenKeyword(
            (string) $row[1],
            Figures::int($row[3]),
            (int) $row[4],
            Figures::int($row[2]),
            Figures::float($row[5]),
            Figures::float($row[6]),
            Figures::float($row[7]),
            Figures::float($row[8]),
            Figures::float($row[9]),
            Figures::float($row[10]),
            Figures::float($row[11]),
            $row[12] === null ? null : Horizon::from((string) $row[12]),
            TacticLabel::parse((string) $row[13]),
            Figures::int($row[14]),
            Intent::from((string) $row[15]),
            Figures::float($row[16]),
        );
    }

    /** @return array<string, array<array-key, int>> keyword of these topics → URL key → our best position with it */
    private static function ownPages(Comparison $comparison, string $named): array
    {
        $snapshot = self::ownSnapshot($comparison);
        if ($snapshot === null) {
            return [];
        }
        /** @var list<object{keyword: string, url: string, position: int}> $rows */
        $rows = DB::select(<<<SQL
            SELECT k.keyword, k.url, min(k.position) AS position
            FROM {$comparison->table()->from('r')} JOIN rankings k ON k.keyword = r.keyword
            WHERE r.topic IN (SELECT json_array_elements_text(?::json)) AND k.study_id = ? AND k.snapshot_id = ? AND k.url IS NOT NULL
            GROUP BY k.keyword, k.url
            SQL, [$named, $comparison->study_id, $snapshot]);
        $pages = [];
        foreach ($rows as $row) {
            $pages[$row->keyword][$row->url] = $row->position;
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
