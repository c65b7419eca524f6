<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Database\RowStream;
use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\Source;
use GreaterReach\Core\Metrics\SourcePrecedence;
use Illuminate\Support\Facades\DB;

/** The metrics of a study's keywords in key order, resolved from all of its sources as the core says. */
final class MetricsStream
{
    private ?string $keyword = null;

    /** @var array<int, Metrics> source → what it says, best first */
    private array $sources = [];

    /**
     * @param \Generator<int, list<mixed>>   $rows     keyword, volume, difficulty, CPC, competition, monthly, source
     * @param array<int, int>                $ranks    source → rank, the best 0
     * @param array<string, array<int, int>> $ownRanks group of metrics → source → rank
     */
    private function __construct(private readonly \Generator $rows, private readonly array $ranks = [], private readonly array $ownRanks = [])
    {
        $this->readNext();
    }

    /**
     * @param list<Domain>  $domains ours first
     * @param ?list<string> $only    these keywords alone; null takes all
     */
    public static function open(int $study, array $domains, SourcePrecedence $precedence, ?array $only = null): self
    {
        $sources = self::sources($study, $domains);
        if ($sources === []) {
            return new self((static fn(): \Generator => yield from [])());
        }
        // One branch a source, each in the order of its index, so that the server merges them instead of sorting them all.
        DB::statement('SET LOCAL enable_sort = off');
        $branch = 'SELECT keyword, volume, difficulty, cpc, advertiser_competition, monthly, source_id FROM metrics WHERE study_id = %d AND source_id = %d';
        $branches = implode(' UNION ALL ', array_map(static fn(Source $source): string => sprintf($branch, $study, $source->id), $sources));
        $some = $only === null ? '' : 'WHERE keyword IN (SELECT json_array_elements_text(?::json))';
        $rows = RowStream::of("SELECT * FROM ({$branches}) said {$some} ORDER BY keyword", $only === null ? [] : [json_encode($only, JSON_THROW_ON_ERROR)]);

        $stream = new self($rows, $precedence->rank($sources), $precedence->ownRanks($sources));
        DB::statement('SET LOCAL enable_sort = on');

        return $stream;
    }

    /**
     * What a study knows of some keywords, by its own rulebook.
     *
     * @param list<string> $keywords
     *
     * @return array<string, Metrics>
     */
    public static function known(Study $study, array $keywords): array
    {
        sort($keywords, SORT_STRING);

        return DB::transaction(static function () use ($study, $keywords): array {
            $stream = self::open($study->id, $study->comparedDomains(), SourcePrecedence::of($study->rulebook()), $keywords);

            return array_combine($keywords, array_map($stream->of(...), $keywords));
        });
    }

    /** The metrics of a keyword; ask in key order. */
    public function of(string $keyword): Metrics
    {
        while ($this->keyword !== null && strcmp($this->keyword, $keyword) < 0) {
            $this->readNext();
        }

        return $this->keyword === $keyword ? MetricResolver::resolve($this->sources, $this->ownRanks) : Metrics::unknown();
    }

    /**
     * @param list<Domain> $domains
     *
     * @return list<Source>
     */
    private static function sources(int $study, array $domains): array
    {
        $places = array_flip(array_map(static fn(Domain $domain): int => $domain->id, $domains));
        $sources = DB::table('live_sources')->where('study_id', $study)->get(['id', 'kind', 'day', 'domain_id', 'channel'])->all();

        return array_values(array_map(static fn(\stdClass $source): Source => new Source($source->id, $source->kind, $source->day, $places[$source->domain_id] ?? null, $source->channel), $sources));
    }

    private function readNext(): void
    {
        $this->sources = [];
        $this->keyword = $this->rows->valid() ? $this->rows->current()[0] : null;
        while ($this->rows->valid() && $this->rows->current()[0] === $this->keyword) {
            [, $volume, $difficulty, $cpc, $competition, $monthly, $source] = $this->rows->current();
            $this->sources[$source] = new Metrics(
                $volume,
                Figures::float($difficulty),
                Figures::float($cpc),
                Figures::float($competition),
                $monthly === null ? null : Figures::ints($monthly),
            );
            $this->rows->next();
        }
        if (\count($this->sources) > 1) {
            uksort($this->sources, fn(int $one, int $other): int => $this->ranks[$one] <=> $this->ranks[$other]);
        }
    }
}
