<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Database\KeyRange;
use App\Support\Database\RowStream;
use GreaterReach\Core\Metrics\MetricResolver;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\MetricSource;
use GreaterReach\Core\Metrics\SourcePrecedence;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The metrics of a study's keywords in key order, resolved from all of its sources as the core says.
 *
 * @phpstan-type MetricsRow array{string, ?int, ?string, ?string, ?string, ?string, int}
 */
final class MetricsStream
{
    private ?string $keyword = null;

    /** @var array<int, Metrics> source → what it says, best first */
    private array $sources = [];

    /**
     * @param \Generator<int, MetricsRow>          $rows     keyword, volume, difficulty, CPC, competition, monthly, source
     * @param array<int, int>                $ranks    source → rank, the best 0
     * @param array<string, array<int, int>> $ownRanks group of metrics → source → rank
     */
    private function __construct(
        private readonly \Generator $rows,
        private readonly array $ranks = [],
        private readonly array $ownRanks = [],
    ) {
        $this->readNext();
    }

    /** @param list<Domain> $domains ours first */
    public static function open(int $study, array $domains, SourcePrecedence $precedence, KeyRange $range = new KeyRange()): self
    {
        $sources = self::sources($study, $domains);
        if ($sources === []) {
            return self::nothing();
        }
        // One branch a source, each in the order of its index, so that the server merges them instead of sorting them all.
        $branch =
            'SELECT keyword, volume, difficulty, cpc, advertiser_competition, monthly, source_id FROM metrics WHERE study_id = %d AND '
                .'source_id = %d%s ORDER BY keyword';
        $branches = implode(
            ' UNION ALL ',
            array_map(
                static fn(MetricSource $source): string => '('.sprintf($branch, $study, $source->id, $range->andKeyword()).')',
                $sources,
            ),
        );
        $rows = RowStream::of(
            "SELECT * FROM ({$branches}) said ORDER BY keyword",
            array_merge(...array_fill(0, \count($sources), $range->bindings())),
        );

        return self::ranked($rows, $sources, $precedence);
    }

    /**
     * The monthly volumes of some keywords of a study, by its own rulebook; nothing else is said of them.
     *
     * @param list<string> $keywords
     *
     * @return array<string, Metrics>
     */
    public static function years(Study $study, array $keywords): array
    {
        sort($keywords, SORT_STRING);

        return DB::transaction(static function () use ($study, $keywords): array {
            $sources = self::sources($study->id, $study->comparedDomains());
            $stream = $keywords === [] || $sources === [] ? self::nothing() : self::ranked(RowStream::of(
                'SELECT keyword, NULL, NULL, NULL, NULL, monthly, source_id FROM metrics WHERE study_id = ? AND monthly IS NOT NULL
                    AND keyword = ANY (ARRAY(SELECT json_array_elements_text(?::json))) AND source_id = ANY (?::bigint[]) ORDER BY keyword',
                [
                    $study->id,
                    json_encode($keywords, JSON_THROW_ON_ERROR),
                    '{'.implode(',', array_map(static fn(MetricSource $source): int => $source->id, $sources)).'}',
                ],
            ), $sources, $study->rulebook()->precedence());

            return array_combine($keywords, array_map($stream->of(...), $keywords));
        });
    }

    private static function nothing(): self
    {
        return new self((static fn(): \Generator => (yield from []))());
    }

    /** @param list<MetricSource> $sources */
    private static function ranked(\Generator $rows, array $sources, SourcePrecedence $precedence): self
    {
        /** @var \Generator<int, MetricsRow> $rows */
        return new self($rows, $precedence->rank($sources), $precedence->ownRanks($sources));
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
     * @return list<MetricSource>
     */
    private static function sources(int $study, array $domains): array
    {
        $places = array_flip(array_map(static fn(Domain $domain): int => $domain->id, $domains));
        /** @var Collection<int, object{id: int, kind: string, day: string, domain_id: ?int, channel: ?string}> $sources */
        $sources = DB::table('live_sources')
            ->where('study_id', $study)
            ->get(['id', 'kind', 'day', 'domain_id', 'channel']);

        return array_values(
            $sources
                ->map(
                    static fn(object $source): MetricSource => new MetricSource(
                        $source->id,
                        $source->kind,
                        $source->day,
                        $places[$source->domain_id] ?? null,
                        $source->channel,
                    ),
                )
                ->all(),
        );
    }

    private function readNext(): void
    {
        $sources = [];
        $this->keyword = $this->rows->valid() ? $this->rows->current()[0] : null;
        for (; $this->rows->valid(); $this->rows->next()) {
            $row = $this->rows->current();
            if ($row[0] !== $this->keyword) {
                break;
            }
            [, $volume, $difficulty, $cpc, $competition, $monthly, $source] = $row;
            // By rank, and by source beside it, so that the ranks need no second look; figures spelt out, as this runs millions of times.
            $sources[$this->ranks[$source]] = [$source, new Metrics(
                $volume,
                $difficulty === null ? null : (float) $difficulty,
                $cpc === null ? null : (float) $cpc,
                $competition === null ? null : (float) $competition,
                $monthly === null ? null : Figures::ints($monthly),
            )];
        }
        ksort($sources, SORT_NUMERIC);
        $this->sources = array_column($sources, 1, 0);
    }
}
