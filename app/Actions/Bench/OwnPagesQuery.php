<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use Carbon\CarbonImmutable;
use GreaterReach\Core\Comparison\PageTrend;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Tactic;
use Illuminate\Support\Facades\DB;

/**
 * Our pages over the keywords that a sentence shows: visits now and before, what stands in striking distance, what could be gained, their
 * topics, conflicts and titles to test.
 *
 * @phpstan-type OurPage array{url: string, visits: float, visits_6: ?float, visits_12: ?float, change_6: ?float, change_12: ?float,
 *     is_fading: bool, share: ?float, keywords: int, traffic_leader: string, striking: int, gain: ?float, expected_gain: ?float,
 *     topics: list<string>, conflicts: int, title_tests: int, is_planned: bool}
 * @phpstan-type PageRow object{url: string, visits: float, visits_6: ?float, visits_12: ?float, keywords: int, leader: string,
 *     striking: int, gain: ?float, expected_gain: ?float, conflicts: int, title_tests: int}
 */
final class OwnPagesQuery
{
    private const SHOWN = 500;

    /** How far from half a year, or a year, before the rankings may lie that stand for it. */
    private const DAYS_OFF = 31;

    /** @return array{pages: list<OurPage>, now: ?string, six_months_ago: ?string, a_year_ago: ?string} by visits, the most first */
    public function execute(Study $study, Comparison $comparison, Sentence $sentence): array
    {
        $now = $comparison->domains[0]['snapshot'];
        $days = ['now' => $now, 'six_months_ago' => null, 'a_year_ago' => null];
        if ($now === null) {
            return ['pages' => [], ...$days];
        }
        $days = ['now' => $now, 'six_months_ago' => self::near($comparison, $now, 6), 'a_year_ago' => self::near($comparison, $now, 12)];
        $rows = self::rows($study, $comparison, $sentence, $days);
        $topics = self::topics($comparison, array_map(static fn(object $row): string => $row->url, $rows));
        /** @var array<string, int> $planned */
        $planned = DB::table('plan_items')->where('study_id', $study->id)->where('unit', 'topic')->where('status', '!=', 'dropped')
            ->pluck('id', 'name')->all();

        return ['pages' => array_map(
            static fn(object $row): array => self::told($row, $comparison, $topics[$row->url] ?? [], $planned),
            $rows,
        ), ...$days];
    }

    /** Our day nearest to so many months before another. */
    private static function near(Comparison $comparison, string $day, int $months): ?string
    {
        $wanted = CarbonImmutable::parse($day)->subMonthsNoOverflow($months);
        $days = DB::table('live_snapshots')
            ->where('domain_id', $comparison->domains[0]['id'])
            ->where('channel', Snapshot::ORGANIC)
            ->whereBetween('day', [$wanted->subDays(self::DAYS_OFF)->toDateString(), $wanted->addDays(self::DAYS_OFF)->toDateString()])
            ->where('day', '<', $day)
            ->orderByRaw('abs(day - ?::date), day DESC', [$wanted->toDateString()])
            ->pluck('day');

        return Figures::text($days->first());
    }

    /**
     * @param array{now: string, six_months_ago: ?string, a_year_ago: ?string} $days
     *
     * @return list<PageRow>
     */
    private static function rows(Study $study, Comparison $comparison, Sentence $sentence, array $days): array
    {
        $shown = (new ComparisonRows($comparison))->query($sentence)->select([
            'keyword', 'topic', 'potential', 'gain', 'expected_gain', 'own_position', 'own_url', 'tactic', 'page_conflict',
            DB::raw('('.ListedRows::condition($study->rulebook()->fitGate()).') AS is_open'),
        ]);
        $shares = array_map(Figures::exact(...), $comparison->models()?->curve->besideFirst() ?? []);
        $striking = self::striking($study->rulebook()->weighing()->striking);

        /** @var list<PageRow> */
        return DB::select(<<<SQL
            WITH shown AS ({$shown->toSql()}), ours AS (
                SELECT s.day, r.url, r.keyword, min(r.position) AS position
                FROM live_snapshots s JOIN rankings r ON r.study_id = s.study_id AND r.snapshot_id = s.id
                WHERE s.study_id = ? AND s.domain_id = ? AND s.channel = ? AND s.day IN (?, ?, ?) AND r.url IS NOT NULL
                GROUP BY s.day, r.url, r.keyword
            ), places AS (
                SELECT ours.day, ours.url, ours.keyword, gain, expected_gain, own_position, tactic, page_conflict, is_open,
                    coalesce(shown.potential * (?::float8[])[ours.position], 0) AS visits,
                    ours.day = ? AS is_now, ours.day = ? AND ours.url = shown.own_url AS is_best
                FROM ours JOIN shown USING (keyword)
            )
            SELECT url, coalesce(sum(visits) FILTER (WHERE is_now), 0) AS visits,
                CASE WHEN ?::date IS NOT NULL THEN coalesce(sum(visits) FILTER (WHERE day = ?), 0) END AS visits_6,
                CASE WHEN ?::date IS NOT NULL THEN coalesce(sum(visits) FILTER (WHERE day = ?), 0) END AS visits_12,
                count(*) FILTER (WHERE is_now) AS keywords,
                (array_agg(keyword ORDER BY visits DESC, keyword) FILTER (WHERE is_now))[1] AS leader,
                count(*) FILTER (WHERE is_best AND is_open AND {$striking}) AS striking,
                sum(gain) FILTER (WHERE is_best AND is_open) AS gain,
                sum(expected_gain) FILTER (WHERE is_best AND is_open) AS expected_gain,
                count(*) FILTER (WHERE is_now AND page_conflict) AS conflicts,
                count(*) FILTER (WHERE is_best AND tactic LIKE ?) AS title_tests
            FROM places GROUP BY url HAVING bool_or(is_now) ORDER BY visits DESC, url LIMIT ?
            SQL, [
            ...$shown->getBindings(), $study->id, $comparison->domains[0]['id'], $comparison->channel, $days['now'],
            $days['six_months_ago'], $days['a_year_ago'], '{'.implode(',', $shares).'}', $days['now'], $days['now'],
            $days['six_months_ago'], $days['six_months_ago'], $days['a_year_ago'], $days['a_year_ago'],
            Tactic::TestTitle->value.'%', self::SHOWN,
        ]);
    }

    private static function striking(StrikingDistance $distance): string
    {
        return "own_position BETWEEN {$distance->from} AND {$distance->to}";
    }

    /**
     * @param list<string> $urls
     *
     * @return array<string, list<string>> page → topics that it serves, what can be gained most first
     */
    private static function topics(Comparison $comparison, array $urls): array
    {
        $topics = [];
        $rows = $comparison->topicTable()->query()->whereIn('own_url', $urls)
            ->orderByRaw('expected_gain DESC NULLS LAST, topic')->get(['own_url', 'topic']);
        foreach ($rows as $row) {
            $topics[(string) Figures::text($row->own_url)][] = (string) Figures::text($row->topic);
        }

        return $topics;
    }

    /**
     * @param PageRow            $row
     * @param list<string>       $topics
     * @param array<string, int> $planned topic → its item
     *
     * @return OurPage
     */
    private static function told(object $row, Comparison $comparison, array $topics, array $planned): array
    {
        $trend = new PageTrend((float) $row->visits, Figures::float($row->visits_6), Figures::float($row->visits_12));

        return [
            'url' => $row->url,
            'visits' => $trend->now,
            'visits_6' => $trend->sixMonthsAgo,
            'visits_12' => $trend->aYearAgo,
            'change_6' => $trend->overSixMonths(),
            'change_12' => $trend->overAYear(),
            'is_fading' => $trend->isFading(),
            'share' => $comparison->own_visits > 0.0 ? $trend->now / $comparison->own_visits : null,
            'keywords' => $row->keywords,
            'traffic_leader' => $row->leader,
            'striking' => $row->striking,
            'gain' => Figures::float($row->gain),
            'expected_gain' => Figures::float($row->expected_gain),
            'topics' => $topics,
            'conflicts' => $row->conflicts,
            'title_tests' => $row->title_tests,
            'is_planned' => array_intersect_key(array_flip($topics), $planned) !== [],
        ];
    }
}
