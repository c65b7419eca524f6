<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use Illuminate\Support\Facades\DB;

/** The metrics of a study's keywords in key order, resolved from all of its sources as the core says. */
final class MetricsStream
{
    private ?string $keyword = null;

    /** @var list<Metrics> */
    private array $sources = [];

    /** @param \Generator<int, list<mixed>> $rows keyword, volume, difficulty, CPC, competition, monthly; best source first */
    private function __construct(private readonly \Generator $rows)
    {
        $this->readNext();
    }

    /**
     * @param list<Domain> $domains ours first
     * @param list<string> $order   kinds of source, best first
     */
    public static function open(int $study, array $domains, array $order): self
    {
        $ranks = self::sourceRanks($study, $domains, $order);
        $values = implode(', ', array_map(static fn(int $source, int $rank): string => "({$source}::bigint, {$rank})", array_keys($ranks), $ranks));
        if ($values === '') {
            return new self((static fn(): \Generator => yield from [])());
        }

        return new self(RowStream::of(<<<SQL
            SELECT keyword, volume, difficulty, cpc, advertiser_competition, monthly
            FROM metrics JOIN (VALUES {$values}) ranked (source_id, rank) USING (source_id)
            WHERE study_id = ? ORDER BY keyword, rank
            SQL, [$study]));
    }

    /** The metrics of a keyword; ask in key order. */
    public function of(string $keyword): Metrics
    {
        while ($this->keyword !== null && strcmp($this->keyword, $keyword) < 0) {
            $this->readNext();
        }

        return $this->keyword === $keyword ? MetricResolver::resolve($this->sources) : Metrics::unknown();
    }

    /**
     * Kind by the rulebook's order, then the newest day, then our domain's file before the competitors' as listed;
     * what is left is decided by the newer file.
     *
     * @param list<Domain> $domains
     * @param list<string> $order
     *
     * @return array<int, int> source id → rank, the best 0
     */
    private static function sourceRanks(int $study, array $domains, array $order): array
    {
        $places = array_flip(array_map(static fn(Domain $domain): int => $domain->id, $domains));
        $kinds = array_flip($order);
        $sources = DB::table('sources')->where('study_id', $study)->get(['id', 'kind', 'day', 'domain_id', 'channel'])->all();
        usort($sources, static fn(\stdClass $one, \stdClass $other): int => ($kinds[$one->kind] ?? PHP_INT_MAX) <=> ($kinds[$other->kind] ?? PHP_INT_MAX)
            ?: $other->day <=> $one->day
            ?: ($places[$one->domain_id] ?? PHP_INT_MAX) <=> ($places[$other->domain_id] ?? PHP_INT_MAX)
            ?: $one->channel <=> $other->channel
            ?: $other->id <=> $one->id);

        return array_flip(array_map(static fn(\stdClass $source): int => $source->id, $sources));
    }

    private function readNext(): void
    {
        $this->sources = [];
        $this->keyword = $this->rows->valid() ? $this->rows->current()[0] : null;
        while ($this->rows->valid() && $this->rows->current()[0] === $this->keyword) {
            [, $volume, $difficulty, $cpc, $competition, $monthly] = $this->rows->current();
            $this->sources[] = new Metrics(
                $volume,
                self::float($difficulty),
                self::float($cpc),
                self::float($competition),
                $monthly === null ? null : Figures::ints($monthly),
            );
            $this->rows->next();
        }
    }

    private static function float(string|int|float|null $value): ?float
    {
        return $value === null ? null : (float) $value;
    }
}
