<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Support\Database\Figures;
use App\Support\Release;
use Carbon\CarbonImmutable;
use GreaterReach\Core\Winning\BaseRate;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * How the keywords of every compared domain moved over its last snapshots, counted once for a comparison.
 *
 * @phpstan-import-type Moved from BaseRate
 */
final class BaseRateQuery
{
    private const SECONDS = 86_400;

    /** Snapshots between then and now where there are so many, and days that must lie between them. */
    private const SNAPSHOTS = 3;
    private const DAYS = 60;

    public function execute(Comparison $comparison): BaseRate
    {
        $key = implode(' ', ['base rate', Release::stamp(), $comparison->id]);

        /** @var array{list<list<Moved>>, ?string} $counted */
        $counted = Cache::remember($key, self::SECONDS, static fn(): array => self::count($comparison));

        return new BaseRate(...$counted);
    }

    /** @return array{list<list<Moved>>, ?string} keywords of each domain by position then and now, and the day then */
    private static function count(Comparison $comparison): array
    {
        $domains = [];
        $since = null;
        foreach ($comparison->domains as $domain) {
            $snapshots = self::snapshots($comparison, $domain['id']);
            $then = self::dayThen(array_keys($snapshots));
            $since ??= $then === null ? null : CarbonImmutable::parse($then)->format('j M Y');
            $domains[] = $then === null ? [] : self::moved($comparison, $snapshots[$then], (int) reset($snapshots));
        }

        return [$domains, $since];
    }

    /**
     * @param list<string> $days of a domain's snapshots, the newest first
     *
     * @return ?string the day to compare with; null where the history is too short
     */
    public static function dayThen(array $days): ?string
    {
        $then = $days[min(self::SNAPSHOTS, \count($days) - 1)] ?? null;

        return $then !== null && CarbonImmutable::parse($then)->diffInDays($days[0]) >= self::DAYS ? $then : null;
    }

    /** @return array<string, int> day → snapshot, the newest first */
    private static function snapshots(Comparison $comparison, int $domain): array
    {
        /** @var array<string, int> */
        return DB::table('live_snapshots')->where('domain_id', $domain)->where('channel', Snapshot::ORGANIC)
            ->when($comparison->as_of !== null, fn($query) => $query->where('day', '<=', $comparison->as_of?->toDateString()))
            ->orderByDesc('day')->limit(self::SNAPSHOTS + 1)->pluck('id', 'day')->all();
    }

    /** @return list<Moved> */
    private static function moved(Comparison $comparison, int $then, int $now): array
    {
        $best = 'SELECT keyword, position FROM rankings WHERE study_id = ? AND snapshot_id = ? AND ordinal = 1';
        /** @var list<object{then: ?int, now: ?int, keywords: int}> $rows */
        $rows = DB::select(<<<SQL
            SELECT t.position AS then, n.position AS now, count(*) AS keywords
            FROM {$comparison->table()->from('c')}
            LEFT JOIN ({$best}) t ON t.keyword = c.keyword
            LEFT JOIN ({$best}) n ON n.keyword = c.keyword
            GROUP BY 1, 2
            SQL, [$comparison->study_id, $then, $comparison->study_id, $now]);

        return array_map(static fn(object $row): array => [
            'then' => Figures::int($row->then),
            'now' => Figures::int($row->now),
            'keywords' => Figures::int($row->keywords) ?? 0,
        ], $rows);
    }
}
