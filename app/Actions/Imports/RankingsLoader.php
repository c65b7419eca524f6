<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Domain;
use App\Models\Import;
use App\Models\Snapshot;
use App\Support\Counted;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\Scope;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Rankings: one snapshot per domain, channel and day in the file; each replaces the one that stood there.
 *
 * @phpstan-type RankingValues array{domain?: string, channel?: string, date?: string, keyword: string, position: int, url?: ?string,
 *     features?: ?string, volume?: ?int, difficulty?: ?float, cpc?: ?float, advertiser_competition?: ?float}
 */
final class RankingsLoader implements Loader
{
    /** @var array<string, array{part: int, domain: Domain, channel: string, day: string}> */
    private array $snapshots = [];

    /** @var array<int, array<string, bool>> part → scheme and host of an address → whether the domain covers it */
    private array $covered = [];

    /** @var array<int, int> part → rows staged */
    private array $staged = [];

    /** @var array<string, array{int, DomainEntry}|string> domain as written, channel and day → where such rows belong */
    private array $places = [];

    public function __construct(private readonly ImportOptions $order, private readonly DomainFinder $domains)
    {
    }

    public static function tables(): array
    {
        return [];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement(<<<'SQL'
            CREATE TEMPORARY TABLE staged (
                line bigint, part integer, keyword text COLLATE "C", position smallint,
                url text COLLATE "C", features text, volume bigint, difficulty double precision, cpc numeric,
                    advertiser_competition double precision
            ) ON COMMIT DROP
            SQL);
    }

    public function columns(): array
    {
        return ['line', 'part', 'keyword', 'position', 'url', 'features', 'volume', 'difficulty', 'cpc', 'advertiser_competition'];
    }

    public function stage(int $line, array $values): array|BadCell|null
    {
        /** @var RankingValues $values */
        $place = $this->placeOf($values['domain'] ?? '', $values['channel'] ?? $this->order->channel, $values['date'] ?? $this->order->day);
        if (\is_string($place)) {
            return new BadCell($line, 'domain', $values['domain'] ?? '', $place);
        }
        [$part, $entry] = $place;
        $url = $values['url'] ?? null;
        if ($values['position'] > Ranking::WORST_POSITION || ($url !== null && ! $this->covers($part, $entry, $url))) {
            return null;
        }
        $this->staged[$part] = ($this->staged[$part] ?? 0) + 1;

        return [
            $line, $part, $values['keyword'], $values['position'], $url, $values['features'] ?? null,
            $values['volume'] ?? null, $values['difficulty'] ?? null, $values['cpc'] ?? null, $values['advertiser_competition'] ?? null,
        ];
    }

    /** Nearly all addresses of a domain begin alike; what one site was found to cover need not be asked again. */
    private function covers(int $part, DomainEntry $entry, string $url): bool
    {
        $site = substr($url, 0, (int) strpos($url, '/', 8) + 1);
        if ($entry->scope !== Scope::Registrable && $entry->scope !== Scope::Host) {
            return $entry->covers($url);
        }

        return $this->covered[$part][$site] ??= $entry->covers($url);
    }

    public function settle(Import $import): array
    {
        ksort($this->snapshots);

        return array_values(
            array_map(
                fn(array $snapshot): string => $this->settleSnapshot(
                    $import,
                    $snapshot['part'],
                    $snapshot['domain'],
                    $snapshot['channel'],
                    $snapshot['day'],
                ),
                $this->snapshots,
            ),
        );
    }

    /** @return array{int, DomainEntry}|string number and scope of the snapshot that a row belongs to, or what is wrong with its domain */
    private function placeOf(string $text, string $channel, string $day): array|string
    {
        return $this->places[$text.' '.$channel.' '.$day] ??= $this->findPlace($text, $channel, $day);
    }

    /** @return array{int, DomainEntry}|string */
    private function findPlace(string $text, string $channel, string $day): array|string
    {
        try {
            $domain = $text === '' ? $this->order->domain : $this->domains->find($text);
        } catch (InvalidValue $problem) {
            return $problem->reason.'.';
        }
        if ($domain === null) {
            return $text === '' ? 'is empty, and the file has no domain.' : 'is not a domain of this study.';
        }
        $key = $domain->id.' '.$channel.' '.$day;
        $this->snapshots[$key] ??= ['part' => \count($this->snapshots), 'domain' => $domain, 'channel' => $channel, 'day' => $day];

        return [$this->snapshots[$key]['part'], $this->domains->entry($domain->id)];
    }

    private function settleSnapshot(Import $import, int $part, Domain $domain, string $channel, string $day): string
    {
        // Two imports of one snapshot at once wait for each other here; the later one replaces the earlier.
        DB::statement('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["snapshot {$domain->id} {$channel} {$day}"]);
        $replaced = $this->supersede($import, $domain, $channel, $day);
        $snapshot = Snapshot::query()->create([
            'study_id' => $import->study_id,
            'domain_id' => $domain->id,
            'import_id' => $import->id,
            'channel' => $channel,
            'day' => $day,
            'keywords' => 0,
            'rankings' => 0,
        ]);
        $rankings = $this->insertRankings($snapshot, $part);
        $snapshot->update([
            'rankings' => $rankings,
            'keywords' => DB::table('rankings')
                ->where('study_id', $import->study_id)
                ->where('snapshot_id', $snapshot->id)
                ->where('ordinal', 1)
                ->count(),
        ]);
        $this->insertMetrics($import, $snapshot, $part, $snapshot->keywords === ($this->staged[$part] ?? 0));

        return sprintf(
            '%s %s of %s %s: %s of %s.',
            ucfirst($channel),
            'snapshot',
            $domain->entry,
            ($replaced ? 'replaced for ' : 'added for ').$day,
            Counted::of($rankings, 'ranking'),
            Counted::of($snapshot->keywords, 'keyword'),
        );
    }

    /** What is replaced waits for an undo, one step back. */
    private function supersede(Import $import, Domain $domain, string $channel, string $day): bool
    {
        $same = ['domain_id' => $domain->id, 'channel' => $channel, 'day' => $day];
        $old = Snapshot::query()->where($same)->first();
        if ($old === null) {
            return false;
        }
        /** @var Collection<int, Snapshot> $older */
        $older = Snapshot::withSuperseded()->where($same)->whereNotNull('superseded_by')->get();
        DeleteSnapshots::execute($older);
        $old->update(['superseded_by' => $import->id]);

        return true;
    }

    public function changes(Import $import): ChangeCounts
    {
        $changes = new ChangeCounts(0, 0, 0);
        foreach (Snapshot::query()->where('import_id', $import->id)->get() as $snapshot) {
            $changes = $changes->plus($this->changesOf($snapshot));
        }

        return $changes;
    }

    /** Against the snapshot it replaces, or else the newest one before it. */
    private function changesOf(Snapshot $snapshot): ChangeCounts
    {
        /** @var object{added: int, updated: int, gone: int} $row */
        $row = DB::selectOne(
            <<<'SQL'
                SELECT count(*) FILTER (WHERE o.keyword IS NULL) AS added, count(*) FILTER (WHERE n.position <> o.position) AS updated,
                    count(*) FILTER (WHERE n.keyword IS NULL) AS gone
                FROM (SELECT keyword, position FROM rankings WHERE study_id = ? AND snapshot_id = ? AND ordinal = 1) n
                FULL JOIN (
                    SELECT keyword, position FROM rankings WHERE study_id = ? AND ordinal = 1 AND snapshot_id = (
                        SELECT id FROM snapshots WHERE domain_id = ? AND channel = ? AND day <= ? AND id <> ?
                            AND (superseded_by IS NULL OR superseded_by = ?) ORDER BY day DESC, id DESC LIMIT 1
                    )
                ) o USING (keyword)
                SQL,
            [
                $snapshot->study_id,
                $snapshot->id,
                $snapshot->study_id,
                $snapshot->domain_id,
                $snapshot->channel,
                $snapshot->day->toDateString(),
                $snapshot->id,
                $snapshot->import_id,
            ],
        );

        return new ChangeCounts($row->added, $row->updated, $row->gone);
    }

    private function insertRankings(Snapshot $snapshot, int $part): int
    {
        // Every row of a page tells the features of the same results page; most files tell none.
        $isTold = DB::table('staged')->where('part', $part)->whereNotNull('features')->exists();
        $features = $isTold ? "string_agg(features, ';') OVER (PARTITION BY keyword, url)" : 'features';

        return DB::affectingStatement(<<<SQL
            INSERT INTO rankings (study_id, snapshot_id, keyword, ordinal, position, url, features)
            SELECT ?::bigint, ?::bigint, keyword, row_number() OVER (PARTITION BY keyword ORDER BY position, url NULLS LAST), position,
                url, features
            FROM (
                SELECT DISTINCT ON (keyword, url) keyword, url, position, {$features} AS features
                FROM staged WHERE part = ?
                ORDER BY keyword, url, position, line
            ) best
            SQL, [$snapshot->study_id, $snapshot->id, $part]);
    }

    /** Where a keyword has several rows the first one that knows a metric counts; most files have one row each. */
    private function insertMetrics(Import $import, Snapshot $snapshot, int $part, bool $isOneRowEach): void
    {
        $source = DB::table('sources')->insertGetId([
            'study_id' => $import->study_id,
            'import_id' => $import->id,
            'snapshot_id' => $snapshot->id,
            'domain_id' => $snapshot->domain_id,
            'kind' => 'rankings',
            'channel' => $snapshot->channel,
            'day' => $snapshot->day->toDateString(),
        ]);
        $metrics = ['volume', 'difficulty', 'cpc', 'advertiser_competition'];
        $values = array_map(
            static fn(string $metric): string => $isOneRowEach ? $metric : "(array_agg({$metric}) FILTER (WHERE {$metric} IS NOT NULL))[1]",
            $metrics,
        );
        $columns = implode(', ', $metrics);
        $chosen = implode(', ', $values);
        $grouping = $isOneRowEach ? '' : 'GROUP BY keyword';
        DB::insert(<<<SQL
            INSERT INTO metrics (study_id, source_id, keyword, {$columns})
            SELECT ?::bigint, ?::bigint, keyword, {$chosen}
            FROM (SELECT * FROM staged WHERE part = ? AND num_nonnulls({$columns}) > 0 ORDER BY keyword, line) in_order {$grouping}
            SQL, [$import->study_id, $source, $part]);
    }
}
