<?php

declare(strict_types=1);

namespace App\Actions\Audit;

use App\Actions\Vocabulary\Operations;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The audit record, the newest first, narrowed by who, where, what and when.
 *
 * @phpstan-type AuditLine array{id: int, at: string, person: ?string, study: ?string, action: string, words: string, status: int,
 *     origin: string, detail: object}
 * @phpstan-type AuditRow object{id: int, at: string, person: ?string, study: ?string, action: string, status: int, origin: string,
 *     detail: string}
 */
final readonly class AuditQuery
{
    public const MOST = 200;

    public function __construct(private Operations $operations)
    {
    }

    /**
     * @param array{person?: ?string, study?: ?string, action?: ?string, outcome?: ?string, from?: ?string, to?: ?string} $filter outcome is
     *     `done` or `refused`; days as YYYY-MM-DD, both within
     * @param ?int $before number of the line that the page before ended with
     *
     * @return array{lines: list<AuditLine>, next: ?int}
     */
    public function execute(array $filter, ?int $before, int $limit): array
    {
        /** @var list<AuditRow> $rows */
        $rows = self::narrowed($filter)
            ->when($before !== null, static fn(Builder $rows): Builder => $rows->where('id', '<', $before))
            ->orderByDesc('id')
            ->limit($limit + 1)
            ->selectRaw("to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS\"Z\"') AS at")
            ->addSelect(['id', 'person', 'study', 'action', 'status', 'origin', 'detail'])
            ->get()
            ->all();
        $lines = array_map($this->line(...), \array_slice($rows, 0, $limit));

        return ['lines' => $lines, 'next' => \count($rows) > $limit ? end($lines)['id'] ?? null : null];
    }

    /** @param array{person?: ?string, study?: ?string, action?: ?string, outcome?: ?string, from?: ?string, to?: ?string} $filter */
    private static function narrowed(array $filter): Builder
    {
        $rows = DB::table('audit');
        foreach (['person', 'study'] as $column) {
            if (($filter[$column] ?? '') !== '') {
                $rows->where($column, $filter[$column]);
            }
        }
        if (($filter['action'] ?? '') !== '') {
            $rows->whereRaw('position(lower(?) IN lower(action)) > 0', [$filter['action']]);
        }
        if (($filter['outcome'] ?? '') !== '') {
            $rows->where('status', $filter['outcome'] === 'refused' ? '>=' : '<', 400);
        }
        if (($filter['from'] ?? '') !== '') {
            $rows->whereRaw('at >= ?::date', [$filter['from']]);
        }
        if (($filter['to'] ?? '') !== '') {
            $rows->whereRaw("at < ?::date + interval '1 day'", [$filter['to']]);
        }

        return $rows;
    }

    /**
     * @param AuditRow $row
     *
     * @return AuditLine
     */
    private function line(object $row): array
    {
        return [
            'id' => $row->id,
            'at' => $row->at,
            'person' => $row->person,
            'study' => $row->study,
            'action' => $row->action,
            'words' => $this->operations->summary($row->action) ?? $row->action,
            'status' => $row->status,
            'origin' => $row->origin,
            'detail' => (object) json_decode($row->detail, true, 16, JSON_THROW_ON_ERROR),
        ];
    }
}
