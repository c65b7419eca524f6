<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Snapshot;
use App\Support\Database\KeyRange;
use App\Support\Database\RowStream;
use GreaterReach\Core\Comparison\Ranking;

/** The snapshots that a comparison uses: per domain the newest on or before its day, and the one before that. */
final readonly class ComparedSnapshots
{
    /**
     * @param list<Domain>    $domains  ours first
     * @param list<?Snapshot> $current
     * @param list<?Snapshot> $previous
     */
    private function __construct(public int $study, public array $domains, public array $current, public array $previous)
    {
    }

    public static function of(ComparisonOptions $order): self
    {
        $current = $previous = [];
        $domains = $order->study->comparedDomains();
        foreach ($domains as $domain) {
            /** @var list<Snapshot> $newest */
            $newest = Snapshot::query()->where('domain_id', $domain->id)->where('channel', $order->channel)
                ->when($order->asOf !== null, static fn($query) => $query->where('day', '<=', $order->asOf))
                ->orderByDesc('day')->limit(2)->get()->all();
            $current[] = $newest[0] ?? null;
            $previous[] = $newest[1] ?? null;
        }

        return new self($order->study->id, $domains, $current, $previous);
    }

    /** Rankings of all of them together. */
    public function rankings(): int
    {
        return array_sum(array_map(static fn(?Snapshot $snapshot): int => $snapshot->rankings ?? 0, $this->current));
    }

    /** @return list<iterable<Ranking>> one stream per domain, in keyword order */
    public function currentStreams(KeyRange $range): array
    {
        return array_map(
            fn(?Snapshot $snapshot): iterable => $snapshot === null ? [] : $this->stream($snapshot, $range, false),
            $this->current,
        );
    }

    /** @return list<?iterable<Ranking>> */
    public function previousStreams(KeyRange $range): array
    {
        return array_map(
            fn(?Snapshot $snapshot): ?iterable => $snapshot === null ? null : $this->stream($snapshot, $range, true),
            $this->previous,
        );
    }

    /** @return list<array<string, int|float|string|null>> id, entry, authority, snapshot, previous */
    public function describe(): array
    {
        $described = [];
        foreach ($this->domains as $number => $domain) {
            $described[] = [
                'id' => $domain->id,
                'entry' => $domain->entry,
                'authority' => $domain->authority,
                'snapshot' => $this->current[$number]?->day->toDateString(),
                'previous' => $this->previous[$number]?->day->toDateString(),
            ];
        }

        return $described;
    }

    /** @return list<int> numbers of the domains that have a snapshot */
    public function domainsWithSnapshot(): array
    {
        return array_keys(array_filter($this->current));
    }

    /** @return \Generator<int, Ranking> */
    private function stream(Snapshot $snapshot, KeyRange $range, bool $onlyBest): \Generator
    {
        // Other pages of a domain are read for the current snapshots alone: only their best counts before.
        $best = $onlyBest ? 'AND ordinal = 1' : '';
        $sql = "SELECT keyword, position, url, features FROM rankings WHERE study_id = ? AND snapshot_id = ? {$best}{$range->andKeyword()} "
            ."ORDER BY keyword, ordinal";
        /** @var iterable<array{string, int, ?string, ?string}> $rows */
        $rows = RowStream::of($sql, [$this->study, $snapshot->id, ...$range->bindings()]);
        foreach ($rows as [$keyword, $position, $url, $features]) {
            yield new Ranking($keyword, $position, $url, $features);
        }
    }
}
