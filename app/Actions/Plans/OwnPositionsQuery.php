<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Snapshot;
use App\Models\Study;
use Illuminate\Support\Facades\DB;

/** Where we stood for some keywords on each of our days. */
final readonly class OwnPositionsQuery
{
    /** @param array<string, array<string, int>> $places day → keyword → our best position; the earliest day first */
    private function __construct(private array $places)
    {
    }

    /**
     * @param list<string> $keywords
     * @param int          $most     so many days, the newest
     */
    public static function of(Study $study, array $keywords, int $most): self
    {
        /** @var array<int, string> $days number of the snapshot → day */
        $days = DB::table('live_snapshots')
            ->where('domain_id', $study->ownDomain()->id)
            ->where('channel', Snapshot::ORGANIC)
            ->orderByDesc('day')
            ->limit($most)
            ->pluck('day', 'id')
            ->all();
        $places = array_fill_keys(array_reverse(array_values($days)), []);
        $rows = DB::select(
            <<<'SQL'
                SELECT snapshot_id, keyword, position FROM rankings WHERE study_id = ? AND snapshot_id = ANY(?::bigint[]) AND ordinal = 1
                    AND keyword IN (SELECT json_array_elements_text(?::json))
                SQL,
            [$study->id, '{'.implode(',', array_keys($days)).'}', json_encode(array_values(array_unique($keywords)), JSON_THROW_ON_ERROR)],
        );
        /** @var object{snapshot_id: int, keyword: string, position: int} $row */
        foreach ($rows as $row) {
            $places[$days[$row->snapshot_id]][$row->keyword] = $row->position;
        }

        return new self($places);
    }

    /** @return list<string> the earliest first */
    public function days(): array
    {
        return array_keys($this->places);
    }

    public function newest(): ?string
    {
        return array_key_last($this->places);
    }

    /** @return array<string, int> keyword → our best position; absent where it is missing */
    public function on(?string $day): array
    {
        return $this->places[$day] ?? [];
    }

    /** @return list<array{day: string, position: ?int}> the earliest first */
    public function history(string $keyword): array
    {
        return array_map(
            fn(string $day): array => ['day' => $day, 'position' => $this->places[$day][$keyword] ?? null],
            $this->days(),
        );
    }
}
