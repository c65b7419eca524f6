<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Database\KeyedStream;
use App\Support\Database\RowStream;
use App\Support\Mark;
use App\Support\Rows\ListedRows;
use App\Support\Rows\RowStorage;
use App\Support\Rows\TopicRows;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Plan\TopicWeigher;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TacticRule;
use Illuminate\Support\Facades\DB;

/**
 * Weighs the topics of a comparison by its weighed rows: those of the list that were not set aside are open. Topics without an open
 * keyword are left out.
 */
final readonly class WeighTopics
{
    private const COLUMNS = 'r.topic, r.keyword, r.volume, r.own_position, r.target, r.difficulty, r.cpc, r.visits_now, r.potential, '
        .'r.gain, r.win_chance, r.expected_gain, r.horizon, r.tactic, r.links_to_earn, r.intent, r.score_fit';
    private const DECIMALS = '1e9';

    public function __construct(private RowStorage $storage)
    {
    }

    /** All of them, in a transaction of the caller's, once the rows are complete. */
    public function execute(Study $study, Comparison $comparison): void
    {
        // Rows that were written a moment ago are in no statistics yet: the planner takes them for a handful and would go through our
        // rankings once for each.
        DB::statement('SET LOCAL enable_nestloop = off');
        $this->write($study, $comparison, null);
        DB::statement('SET LOCAL enable_nestloop = on');
        if ($comparison->has_own_rows) {
            $this->storage->indexTopics($comparison->id);
        }
    }

    /**
     * Some of them anew, after a decision about some of their keywords.
     *
     * @param list<string> $topics
     */
    public function again(Study $study, Comparison $comparison, array $topics): void
    {
        if ($topics === []) {
            return;
        }
        DB::transaction(function () use ($study, $comparison, $topics): void {
            // One after the other: who comes second finds what the first has written.
            DB::statement('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["topics of {$comparison->id}"]);
            $named = json_encode($topics, JSON_THROW_ON_ERROR);
            DB::delete(
                "DELETE FROM {$comparison->topicTable()->name()} WHERE comparison_id = ? AND topic IN (SELECT json_array_elements_text(?::json))",
                [$comparison->id, $named],
            );
            $this->write($study, $comparison, $named);
        });
    }

    /** @param ?string $named JSON of the topics that are wanted; null for all */
    private function write(Study $study, Comparison $comparison, ?string $named): void
    {
        $models = $comparison->models();
        if ($models === null) {
            return;
        }
        $rulebook = $study->rulebook();
        $weigher = new TopicWeigher($rulebook->weighing(), $models->comfort, $rulebook->effort());
        $pages = new KeyedStream(self::ownPages($comparison, $models->curve, $named));
        $writer = TopicRows::writer($comparison->topicTable());
        $id = $comparison->id;
        /** @var iterable<non-empty-list<string|int|float|bool|null>> $keywords */
        $keywords = self::keywords($study, $comparison, $named);
        foreach (KeyedStream::grouped($keywords) as $topic => $rows) {
            $open = array_values(array_filter($rows, static fn(array $row): bool => $row[17] === true));
            if ($open !== []) {
                $writer->write(
                    TopicRows::cells(
                        $id,
                        $weigher->weigh($topic, self::primary($topic, $rows), array_map(self::keyword(...), $open), $pages->at($topic)),
                    ),
                );
            }
        }
        $writer->flush();
    }

    /** @return \Generator<int, list<string|int|float|bool|null>> by topic, then keyword */
    private static function keywords(Study $study, Comparison $comparison, ?string $named): \Generator
    {
        $columns = self::COLUMNS;
        $listed = ListedRows::condition($study->rulebook()->fitGate());
        $wanted = $named === null ? '' : 'AND r.topic IN (SELECT json_array_elements_text(?::json))';

        return RowStream::of(<<<SQL
            SELECT {$columns}, {$listed} AND NOT EXISTS (
                SELECT 1 FROM decisions d WHERE d.study_id = ? AND d.keyword = r.keyword AND d.mark = ?
            ) AS is_open
            FROM {$comparison->table()->from('r')} WHERE r.topic IS NOT NULL {$wanted} ORDER BY r.topic, r.keyword
            SQL, [$study->id, Mark::SetAside->value, ...$named === null ? [] : [$named]]);
    }

    /** @param non-empty-list<list<string|int|float|bool|null>> $rows in key order */
    private static function primary(string $topic, array $rows): string
    {
        $volumes = [];
        foreach ($rows as $row) {
            $volumes[(string) $row[1]] = Figures::int($row[2]);
        }

        return TopicWeigher::primary($topic, $volumes);
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

    /**
     * Of our URLs near the top for any keyword of a topic the one that brings most visits now with all its keywords.
     *
     * @return \Generator<string, string> topic → URL key, by topic
     */
    private static function ownPages(Comparison $comparison, CtrCurve $curve, ?string $named): \Generator
    {
        $snapshot = self::ownSnapshot($comparison);
        if ($snapshot === null) {
            return;
        }
        $shares = $curve->besideFirst();
        $decimals = self::DECIMALS;
        $near = TacticRule::OWN_PAGE_WITHIN;
        $wanted = $named === null ? '' : 'AND r.topic IN (SELECT json_array_elements_text(?::json))';
        // The potential holds volume and clicks left; the curve's share of the first place makes visits of it.
        $rows = RowStream::of(<<<SQL
            SELECT DISTINCT ON (topic) topic, url FROM (
                SELECT topic, url, min(best) AS best, round(sum(potential * (?::float8[])[best]) * {$decimals}) AS visits FROM (
                    SELECT r.topic, k.url, k.keyword, min(k.position) AS best, coalesce(max(r.potential), 0) AS potential
                    FROM {$comparison->table()->from('r')} JOIN rankings k ON k.keyword = r.keyword
                    WHERE k.study_id = ? AND k.snapshot_id = ? AND k.url IS NOT NULL AND r.topic IS NOT NULL {$wanted}
                    GROUP BY r.topic, k.url, k.keyword
                ) places GROUP BY topic, url HAVING min(best) <= {$near}
            ) pages ORDER BY topic, visits DESC, best, url
            SQL, [
            '{'.implode(',', array_map(Figures::exact(...), $shares)).'}',
            $comparison->study_id,
            $snapshot,
            ...$named === null ? [] : [$named],
        ]);
        foreach ($rows as [$topic, $url]) {
            yield (string) $topic => (string) $url;
        }
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
