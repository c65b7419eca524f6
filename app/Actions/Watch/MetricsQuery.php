<?php

declare(strict_types=1);

namespace App\Actions\Watch;

use App\Models\TaskStatus;
use Illuminate\Support\Facades\DB;

/** What a monitoring system gathers, in the OpenMetrics text format 1.0 (prometheus.io, specs/om/open_metrics_spec). */
final readonly class MetricsQuery
{
    public const MIME = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    private const COUNTS = <<<'SQL'
        SELECT (SELECT count(*) FROM studies WHERE deleted_at IS NULL) AS studies, (SELECT count(*) FROM users) AS people,
            (SELECT count(*) FROM failed_jobs) AS failed,
            (SELECT count(*) FROM pg_stat_activity WHERE datname = current_database()) AS connections,
            pg_database_size(current_database()) AS bytes
        SQL;

    public function __construct(private HealthQuery $health)
    {
    }

    public function execute(): string
    {
        $health = $this->health->execute();
        /** @var object{studies: int, people: int, failed: int, connections: int, bytes: int} $counts */
        $counts = DB::selectOne(self::COUNTS);
        $lines = [
            ...self::gauge('reach_up', '1 when database, queue and disk work', [[[], $health['status'] === HealthQuery::WELL ? 1 : 0]]),
            ...self::gauge('reach_jobs_waiting', 'Waiting jobs by queue', self::byLane($health['lanes'], 'waiting')),
            ...self::gauge('reach_job_oldest_seconds', 'Wait of the oldest job by queue', self::byLane($health['lanes'], 'oldest_seconds')),
            ...self::gauge('reach_jobs_failed', 'Failed jobs', [[[], $counts->failed]]),
            ...self::gauge('reach_tasks', 'Tasks by status', self::tasks()),
            ...self::gauge('reach_studies', 'Studies', [[[], $counts->studies]]),
            ...self::gauge('reach_people', 'Accounts', [[[], $counts->people]]),
            ...self::gauge('reach_database_connections', 'Connections to the database', [[[], $counts->connections]]),
            ...self::gauge('reach_database_bytes', 'Size of the database', [[[], $counts->bytes]]),
            ...$health['disk_free_bytes'] === null
                ? []
                : self::gauge('reach_disk_free_bytes', 'Free disk space', [[[], $health['disk_free_bytes']]]),
        ];

        return implode("\n", [...$lines, '# EOF'])."\n";
    }

    /**
     * @param list<array{array<string, string>, int}> $values each with its labels
     *
     * @return list<string>
     */
    private static function gauge(string $name, string $help, array $values): array
    {
        $lines = ["# TYPE {$name} gauge", "# HELP {$name} {$help}"];
        foreach ($values as [$labels, $value]) {
            $told = array_map(static fn(string $label, string $of): string => "{$label}=\"{$of}\"", array_keys($labels), $labels);
            $lines[] = $name.($told === [] ? '' : '{'.implode(',', $told).'}').' '.$value;
        }

        return $lines;
    }

    /**
     * @param array<string, array{waiting: int, oldest_seconds: int}> $lanes
     * @param 'waiting'|'oldest_seconds'                               $figure
     *
     * @return list<array{array<string, string>, int}>
     */
    private static function byLane(array $lanes, string $figure): array
    {
        return array_map(
            static fn(string $lane, array $health): array => [['lane' => $lane], $health[$figure]],
            array_keys($lanes),
            array_values($lanes),
        );
    }

    /** @return list<array{array<string, string>, int}> */
    private static function tasks(): array
    {
        /** @var array<string, int> $counts */
        $counts = DB::table('tasks')->groupBy('status')->selectRaw('status, count(*) AS tasks')->pluck('tasks', 'status')->all();

        return array_map(
            static fn(TaskStatus $status): array => [['status' => $status->value], $counts[$status->value] ?? 0],
            TaskStatus::cases(),
        );
    }
}
