<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\ShareOfClicks;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\StudyExplainer;
use GreaterReach\Core\Plan\ClicksAround;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What came of finished items: visits now against what was promised, positions over time, and the share of clicks by month.
 *
 * @phpstan-type MeasuredDay array{day: string, clicks: int, impressions: int}
 * @phpstan-type TrackedItem array{id: int, keyword: string, tactic: string, done_month: ?string, owner: string, promised_gain: float,
 *     win_chance: float, position_then: ?int, position_now: ?int, target: ?int, added: float, p10: ?float, p50: ?float, p90: ?float,
 *     outcome: ?string, why: ?Explanation, history: list<array{day: string, position: ?int}>, clicks: list<MeasuredDay>,
 *     clicks_before: ?float, clicks_since: ?float}
 * @phpstan-type SharesOfDay array{day: string, shares: list<?float>}
 * @phpstan-type Track array{newest: ?string, items: list<TrackedItem>, elsewhere: object,
 *     calibration: ?array{items: int, said: float, happened: float, inside: float}, shares: list<SharesOfDay>, published: list<string>}
 */
final class ReadTrack
{
    private const DAYS = 18;

    /** @return Track */
    public function execute(Study $study): array
    {
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->where('status', 'done')->orderBy('done_month')->orderBy('id')->get()->all();
        $facts = PlanFacts::of($study, $study->comparison, array_map(static fn(PlanItem $item): string => $item->keyword, $items));
        /** @var ?string $newest */
        $newest = Snapshot::query()->where('domain_id', $study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)->max('day');
        $now = $newest === null ? null : Month::parse(substr($newest, 0, 7));
        $clicks = self::measured($study, array_map(static fn(PlanItem $item): string => $item->keyword, $items));
        $outcomes = array_map(fn(PlanItem $item): array => $this->outcome($study, $item, $facts, $now, $clicks), $items);

        return [
            'newest' => $newest,
            'items' => $outcomes,
            'elsewhere' => (object) PlanItem::elsewhere($study),
            'calibration' => self::calibration($outcomes),
            'shares' => $this->shares($study),
            'published' => array_values(array_unique(array_map(static fn(PlanItem $item): string => (string) $item->done_month, $items))),
        ];
    }

    /**
     * @param array<string, list<MeasuredDay>> $clicks
     *
     * @return TrackedItem
     */
    private function outcome(Study $study, PlanItem $item, PlanFacts $facts, ?Month $now, array $clicks): array
    {
        $done = Month::parse((string) $item->done_month);
        $ramp = $facts->effort()->ramp($item->tacticLabel()->tactic);
        $row = $facts->row($item->keyword);
        $added = ($row->visitsNow ?? 0.0) - ($item->promise['visits_then'] ?? 0.0);
        $measured = $clicks[$item->keyword] ?? [];
        $around = ClicksAround::of($measured, $done);
        [$band, $outcome] = [null, null];
        if ($now !== null) {
            $band = Promises::forecast($study)->bands([ReadPlan::promise($item, $facts)], [$now])[0];
            $outcome = Outcome::of($added, $band, $done, $now, $ramp);
        }

        return [
            'id' => $item->id,
            'keyword' => $item->keyword,
            'tactic' => $item->tactic,
            'done_month' => $item->done_month,
            'owner' => $item->owner,
            'promised_gain' => $item->promise['gain'] ?? 0.0,
            'win_chance' => $item->promise['win_chance'] ?? 0.0,
            'position_then' => $item->promise['position_then'] ?? null,
            'position_now' => $row?->ownPosition,
            'target' => $item->promise['target'] ?? null,
            'added' => $added,
            'p10' => $band?->p10,
            'p50' => $band?->p50,
            'p90' => $band?->p90,
            'outcome' => $outcome?->value,
            'why' => $outcome === null ? null : StudyExplainer::outcome($outcome, $added, $band, $done, $ramp),
            'history' => $this->history($study, $item->keyword),
            'clicks' => $measured,
            'clicks_before' => $around->before,
            'clicks_since' => $around->since,
        ];
    }

    /**
     * What our own performance data measured, month by month: of lists that tell the same month the newest counts, and
     * rows without a day of their own belong to the day of their list.
     *
     * @param list<string> $keywords
     *
     * @return array<string, list<MeasuredDay>> keyword → the earliest first
     */
    private static function measured(Study $study, array $keywords): array
    {
        /** @var list<object{query: string, day: string, clicks: int, impressions: int}> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT DISTINCT ON (p.query, date_trunc('month', coalesce(p.day, i.day)))
                p.query, max(coalesce(p.day, i.day)) AS day, sum(p.clicks)::bigint AS clicks, sum(p.impressions)::bigint AS impressions
            FROM live_performance p JOIN imports i ON i.id = p.import_id
            WHERE p.study_id = ? AND p.query IN (SELECT json_array_elements_text(?::json))
            GROUP BY p.query, i.id, date_trunc('month', coalesce(p.day, i.day)) ORDER BY p.query, date_trunc('month', coalesce(p.day,
                i.day)), i.id DESC
            SQL, [$study->id, json_encode($keywords, JSON_THROW_ON_ERROR)]);
        $measured = [];
        foreach ($rows as $row) {
            $measured[$row->query][] = ['day' => $row->day, 'clicks' => $row->clicks, 'impressions' => $row->impressions];
        }

        return array_map(static fn(array $days): array => \array_slice($days, -self::DAYS), $measured);
    }

    /** @return list<array{day: string, position: ?int}> ours on each of our days, the earliest first */
    private function history(Study $study, string $keyword): array
    {
        /** @var list<object{day: string, position: ?int}> $rows */
        $rows = DB::select(
            <<<'SQL'
                SELECT s.day, r.position FROM live_snapshots s LEFT JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id
                    AND r.keyword = ? AND r.ordinal = 1
                WHERE s.domain_id = ? AND s.channel = 'organic' ORDER BY s.day DESC LIMIT ?
                SQL,
            [$keyword, $study->ownDomain()->id, self::DAYS],
        );

        return array_reverse(array_map(static fn(object $row): array => ['day' => $row->day, 'position' => $row->position], $rows));
    }

    /**
     * What was said against what happened, for items past their ramp: the mean win chance, and the share that reached their target.
     *
     * @param list<TrackedItem> $outcomes
     *
     * @return ?array{items: int, said: float, happened: float, inside: float}
     */
    private static function calibration(array $outcomes): ?array
    {
        $ripe = array_values(
            array_filter(
                $outcomes,
                static fn(array $item): bool => $item['outcome'] !== null && $item['outcome'] !== Outcome::TooEarly->value,
            ),
        );
        $count = \count($ripe);

        return $count === 0
            ? null
            : [
                'items' => $count,
                'said' => array_sum(array_column($ripe, 'win_chance')) / $count,
                'happened' => \count(array_filter($ripe, self::isReached(...))) / $count,
                'inside' =>
                    \count(array_filter($ripe, static fn(array $item): bool => $item['outcome'] === Outcome::Inside->value)) / $count,
            ];
    }

    /** @param TrackedItem $item */
    private static function isReached(array $item): bool
    {
        return $item['position_now'] !== null && $item['target'] !== null && $item['position_now'] <= $item['target'];
    }

    /**
     * @return list<array{day: string, shares: list<?float>}> share of clicks of every compared domain on each of our days, with today's
     *     volumes
     */
    private function shares(Study $study): array
    {
        $comparison = $study->comparison;
        if ($comparison === null) {
            return [];
        }
        $curve = $comparison->models()->curve ?? CtrCurve::default();
        $ids = array_column($comparison->domains, 'id');
        $numbers = array_flip($ids);
        /** @var Collection<int, string> $days */
        $days = DB::table('live_snapshots')
            ->where('domain_id', $ids[0])
            ->where('channel', Snapshot::ORGANIC)
            ->orderByDesc('day')
            ->limit(self::DAYS)
            ->pluck('day');
        $shares = [];
        foreach ($days->reverse() as $day) {
            $tally = new ShareOfClicks(\count($ids), $curve);
            /** @var list<object{domain_id: int, position: int, volume: int}> $rows */
            $rows = DB::select(<<<SQL
                SELECT s.domain_id, r.position, sum(c.volume)::bigint AS volume FROM live_snapshots s
                    JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id AND r.ordinal = 1
                JOIN {$comparison->table()->from('c')} ON c.keyword = r.keyword AND c.volume IS NOT NULL
                WHERE s.study_id = ? AND s.channel = 'organic' AND s.day = ? AND s.domain_id = ANY(?::bigint[]) GROUP BY s.domain_id,
                    r.position
                SQL, [$study->id, $day, '{'.implode(',', $ids).'}']);
            foreach ($rows as $row) {
                $positions = array_fill(0, \count($ids), null);
                $positions[$numbers[$row->domain_id]] = $row->position;
                $tally->add($row->volume, array_values($positions));
            }
            $shares[] = ['day' => $day, 'shares' => $tally->shares()];
        }

        return $shares;
    }
}
