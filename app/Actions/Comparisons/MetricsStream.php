<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\Source;
use GreaterReach\Core\Metrics\SourceOrder;
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
     * @param list<Domain>  $domains ours first
     * @param list<string>  $order   kinds of source, best first
     * @param ?list<string> $only    these keywords alone; null takes all
     */
    public static function open(int $study, array $domains, array $order, ?array $only = null): self
    {
        $ranks = self::sourceRanks($study, $domains, $order);
        $values = implode(', ', array_map(static fn(int $source, int $rank): string => "({$source}::bigint, {$rank})", array_keys($ranks), $ranks));
        if ($values === '') {
            return new self((static fn(): \Generator => yield from [])());
        }

        $some = $only === null ? '' : 'AND keyword IN (SELECT json_array_elements_text(?::json))';

        return new self(RowStream::of(<<<SQL
            SELECT keyword, volume, difficulty, cpc, advertiser_competition, monthly
            FROM metrics JOIN (VALUES {$values}) ranked (source_id, rank) USING (source_id)
            WHERE study_id = ? {$some} ORDER BY keyword, rank
            SQL, [$study, ...($only === null ? [] : [json_encode($only, JSON_THROW_ON_ERROR)])]));
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
     * @param list<Domain> $domains
     * @param list<string> $order
     *
     * @return array<int, int> source id → rank, the best 0
     */
    private static function sourceRanks(int $study, array $domains, array $order): array
    {
        $places = array_flip(array_map(static fn(Domain $domain): int => $domain->id, $domains));
        $sources = DB::table('live_sources')->where('study_id', $study)->get(['id', 'kind', 'day', 'domain_id', 'channel'])->all();

        return SourceOrder::rank(array_values(array_map(static fn(\stdClass $source): Source => new Source($source->id, $source->kind, $source->day, $places[$source->domain_id] ?? null, $source->channel), $sources)), $order);
    }

    private function readNext(): void
    {
        $this->sources = [];
        $this->keyword = $this->rows->valid() ? $this->rows->current()[0] : null;
        while ($this->rows->valid() && $this->rows->current()[0] === $this->keyword) {
            [, $volume, $difficulty, $cpc, $competition, $monthly] = $this->rows->current();
            $this->sources[] = new Metrics(
                $volume,
                Figures::float($difficulty),
                Figures::float($cpc),
                Figures::float($competition),
                $monthly === null ? null : Figures::ints($monthly),
            );
            $this->rows->next();
        }
    }
}
