<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Domain;
use App\Models\Import;
use App\Models\Snapshot;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use Illuminate\Support\Facades\DB;

/** Rankings: one snapshot per domain, channel and day in the file; each replaces the one that stood there. */
final class RankingsLoader implements Loader
{
    /** @var array<string, array{domain: Domain, channel: string, day: string}> */
    private array $snapshots = [];

    /** @var array<string, Domain|string> text of a domain cell → domain, or what is wrong with it */
    private array $found = [];

    public function __construct(private readonly ImportOrder $order, private readonly DomainFinder $domains)
    {
    }

    public function prepare(): void
    {
        DB::statement(<<<'SQL'
            CREATE TEMPORARY TABLE staged (
                line bigint, domain_id bigint, channel text, day date, keyword text COLLATE "C", position smallint,
                url text COLLATE "C", features text, volume bigint, difficulty double precision, cpc numeric, advertiser_competition double precision
            ) ON COMMIT DROP
            SQL);
    }

    public function columns(): array
    {
        return ['line', 'domain_id', 'channel', 'day', 'keyword', 'position', 'url', 'features', 'volume', 'difficulty', 'cpc', 'advertiser_competition'];
    }

    public function stage(int $line, array $values): array|BadCell|null
    {
        $domain = $this->domainOf($values);
        if (\is_string($domain)) {
            return new BadCell($line, 'domain', (string) ($values['domain'] ?? ''), $domain);
        }
        $channel = (string) ($values['channel'] ?? $this->order->channel);
        $day = (string) ($values['date'] ?? $this->order->day);
        $this->snapshots[$domain->id.' '.$channel.' '.$day] ??= ['domain' => $domain, 'channel' => $channel, 'day' => $day];
        $url = $values['url'] ?? null;
        if ($values['position'] > Ranking::WORST_POSITION || (\is_string($url) && ! $this->domains->entry($domain->id)->covers($url))) {
            return null;
        }

        return [
            $line, $domain->id, $channel, $day, $values['keyword'], $values['position'], $url, $values['features'] ?? null,
            $values['volume'] ?? null, $values['difficulty'] ?? null, $values['cpc'] ?? null, $values['advertiser_competition'] ?? null,
        ];
    }

    public function settle(Import $import): array
    {
        ksort($this->snapshots);
        DB::statement('ANALYZE staged');

        return array_values(array_map(
            fn(array $snapshot): string => $this->settleSnapshot($import, $snapshot['domain'], $snapshot['channel'], $snapshot['day']),
            $this->snapshots,
        ));
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return Domain|string the domain, or what is wrong with the cell
     */
    private function domainOf(array $values): Domain|string
    {
        $text = $values['domain'] ?? null;
        if (! \is_string($text)) {
            return $this->order->domain ?? 'is empty, and no domain was given for the file.';
        }

        return $this->found[$text] ??= $this->findDomain($text);
    }

    private function findDomain(string $text): Domain|string
    {
        try {
            return $this->domains->find($text) ?? 'is not a domain of this study.';
        } catch (InvalidValue $problem) {
            return $problem->reason.'.';
        }
    }

    private function settleSnapshot(Import $import, Domain $domain, string $channel, string $day): string
    {
        // Two imports of one snapshot at once wait for each other here; the later one replaces the earlier.
        DB::statement('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["snapshot {$domain->id} {$channel} {$day}"]);
        $replaced = $this->forget($domain, $channel, $day);
        $snapshot = Snapshot::query()->create([
            'study_id' => $import->study_id, 'domain_id' => $domain->id, 'import_id' => $import->id,
            'channel' => $channel, 'day' => $day, 'keywords' => 0, 'rankings' => 0,
        ]);
        $key = [$domain->id, $channel, $day];
        $rankings = $this->insertRankings($snapshot, $key);
        $snapshot->update(['rankings' => $rankings, 'keywords' => DB::table('rankings')->where('study_id', $import->study_id)->where('snapshot_id', $snapshot->id)->where('ordinal', 1)->count()]);
        $this->insertMetrics($import, $snapshot, $key);

        return sprintf('%s %s of %s %s: %d rankings of %d keywords.', ucfirst($channel), 'snapshot', $domain->entry, ($replaced ? 'replaced for ' : 'added for ').$day, $rankings, $snapshot->keywords);
    }

    private function forget(Domain $domain, string $channel, string $day): bool
    {
        $old = Snapshot::query()->where('domain_id', $domain->id)->where('channel', $channel)->where('day', $day)->first();
        if ($old === null) {
            return false;
        }
        DB::delete('DELETE FROM metrics WHERE study_id = ? AND source_id IN (SELECT id FROM sources WHERE snapshot_id = ?)', [$old->study_id, $old->id]);
        DB::delete('DELETE FROM rankings WHERE study_id = ? AND snapshot_id = ?', [$old->study_id, $old->id]);
        $old->delete();

        return true;
    }

    /** @param array{int, string, string} $key domain, channel, day */
    private function insertRankings(Snapshot $snapshot, array $key): int
    {
        return DB::affectingStatement(<<<'SQL'
            INSERT INTO rankings (study_id, snapshot_id, keyword, ordinal, position, url, features)
            SELECT ?::bigint, ?::bigint, keyword, row_number() OVER (PARTITION BY keyword ORDER BY position, url NULLS LAST), position, url, features
            FROM (
                SELECT DISTINCT ON (keyword, url) keyword, url, position, features
                FROM staged WHERE domain_id = ? AND channel = ? AND day = ?
                ORDER BY keyword, url, position, line
            ) best
            SQL, [$snapshot->study_id, $snapshot->id, ...$key]);
    }

    /** @param array{int, string, string} $key domain, channel, day */
    private function insertMetrics(Import $import, Snapshot $snapshot, array $key): void
    {
        $source = DB::table('sources')->insertGetId([
            'study_id' => $import->study_id, 'import_id' => $import->id, 'snapshot_id' => $snapshot->id, 'domain_id' => $snapshot->domain_id,
            'kind' => 'rankings', 'channel' => $snapshot->channel, 'day' => $snapshot->day->toDateString(),
        ]);
        DB::insert(<<<'SQL'
            INSERT INTO metrics (study_id, source_id, keyword, volume, difficulty, cpc, advertiser_competition)
            SELECT ?::bigint, ?::bigint, keyword,
                (array_agg(volume) FILTER (WHERE volume IS NOT NULL))[1],
                (array_agg(difficulty) FILTER (WHERE difficulty IS NOT NULL))[1],
                (array_agg(cpc) FILTER (WHERE cpc IS NOT NULL))[1],
                (array_agg(advertiser_competition) FILTER (WHERE advertiser_competition IS NOT NULL))[1]
            FROM (
                SELECT * FROM staged
                WHERE domain_id = ? AND channel = ? AND day = ? AND num_nonnulls(volume, difficulty, cpc, advertiser_competition) > 0
                ORDER BY keyword, line
            ) in_order
            GROUP BY keyword
            SQL, [$import->study_id, $source, ...$key]);
    }
}
