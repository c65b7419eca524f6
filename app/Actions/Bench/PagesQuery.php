<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\FeatureSql;
use App\Support\Rows\ListOrder;
use App\Support\Sentence\Sentence;
use App\Support\Sentence\SentenceContext;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use Illuminate\Support\Facades\DB;

/**
 * The pages of the compared domains over the keywords that a sentence shows: keywords, visits, traffic leader, what of it
 * we lack, share of the domain's visits. The rule is `DomainPages` of the core; a test holds this SQL to it.
 *
 * @phpstan-type PageRow object{number: int, url: string, keywords: int, visits: string, leader: string, we_lack: int,
 *     share: ?string}
 */
final class PagesQuery
{
    private const SHOWN = 300;

    private const ORDERS = [
        'visits' => 'visits',
        'page' => 'url',
        'keywords' => 'keywords',
        'share' => 'share',
        'traffic_leader' => 'leader',
        'we_lack' => 'we_lack',
    ];

    /**
     * @param ?int $domain number of the domain in the comparison, 0 for ours; null takes all competitors
     *
     * @return list<array<string, mixed>> by visits, the most first, where no order is named
     *
     * @throws UserError when there is no such order
     */
    public function execute(
        Comparison $comparison,
        Sentence $sentence,
        ?int $domain,
        string $sort = '',
        bool $isDescending = true,
    ): array {
        $order = ListOrder::of(self::ORDERS, $sort, $isDescending)->sql('url');
        $snapshots = SentenceContext::of($comparison)->snapshots($comparison->channel);
        $wanted = array_filter(
            $snapshots,
            static fn(int $snapshot, int $number): bool => $snapshot > 0 && ($domain === null ? $number > 0 : $number === $domain),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($wanted === []) {
            return [];
        }
        $numbers = self::values(static fn(int $number, int $snapshot): string => "{$snapshot}::bigint, {$number}", $wanted);
        $rates = self::values(
            static fn(int $position, float $rate): string => ($position + 1).', '.Figures::exact($rate).'::float8',
            self::rates($comparison),
        );
        $shown = (new ComparisonRows($comparison))->query($sentence)->select(['keyword', 'volume', 'own_position', 'features']);
        $left = self::shareLeft($comparison);
        /** @var list<PageRow> $rows */
        $rows = DB::select(
            <<<SQL
                WITH shown AS ({$shown->toSql()}),
                ranked AS (
                    SELECT d.number, r.url, r.keyword, coalesce(shown.volume * {$left} * c.rate, 0) AS visits,
                        shown.own_position IS NULL AS lacked
                    FROM rankings r JOIN (VALUES {$numbers}) d (snapshot, number) ON r.snapshot_id = d.snapshot
                    JOIN shown ON shown.keyword = r.keyword JOIN (VALUES {$rates}) c (position, rate) ON c.position = r.position
                    WHERE r.study_id = ? AND r.url IS NOT NULL
                ),
                pages AS (
                    SELECT number, url, count(*) AS keywords, sum(visits) AS visits, (array_agg(keyword ORDER BY visits DESC,
                        keyword))[1] AS leader, count(*) FILTER (WHERE lacked) AS we_lack
                    FROM ranked GROUP BY number, url
                )
                SELECT * FROM (SELECT *, visits / nullif(sum(visits) OVER (PARTITION BY number), 0) AS share FROM pages) shared
                ORDER BY {$order} LIMIT ?
                SQL,
            [...$shown->getBindings(), $comparison->study_id, self::SHOWN]
        );

        return array_map(self::page(...), $rows);
    }

    /** SQL of the share of clicks that features of the results page leave. */
    private static function shareLeft(Comparison $comparison): string
    {
        $clicks = Study::query()->findOrFail($comparison->study_id)->rulebook()->shares('feature_clicks');

        return FeatureSql::shareLeft(new FeatureClicks($clicks), 'shown.features');
    }

    /**
     * @param PageRow $row
     *
     * @return array<string, mixed>
     */
    private static function page(object $row): array
    {
        return [
            'domain' => $row->number, 'url' => $row->url, 'keywords' => $row->keywords, 'visits' => (float) $row->visits,
            'traffic_leader' => $row->leader, 'we_lack' => $row->we_lack, 'share' => Figures::float($row->share),
        ];
    }

    /**
     * @template Value
     *
     * @param \Closure(int, Value): string $row    of a key and its value
     * @param array<int, Value>            $values
     *
     * @return string rows for VALUES
     */
    private static function values(\Closure $row, array $values): string
    {
        $rows = array_map(static fn(int $key, mixed $value): string => "({$row($key, $value)})", array_keys($values), $values);

        return implode(', ', $rows);
    }

    /** @return list<float> */
    private static function rates(Comparison $comparison): array
    {
        return ($comparison->models()->curve ?? CtrCurve::default())->rates();
    }
}
