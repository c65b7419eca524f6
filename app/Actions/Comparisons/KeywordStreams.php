<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\Figures;
use App\Support\Database\KeyedStream;
use App\Support\Database\KeyRange;
use App\Support\Database\RowStream;
use App\Support\Mark;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\MeasuredClicks;
use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Statistics\Quantile;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What is known of a study's keywords beside rankings and metrics, as streams in key order.
 *
 * @phpstan-type DecisionRow object{keyword: string, target: ?int, fit: ?int, intent: ?string, topic: ?string, difficulty: ?string}
 */
final readonly class KeywordStreams
{
    public function __construct(private int $study, private KeyRange $range = new KeyRange())
    {
    }

    /** @return KeyedStream<Judgement> */
    public function judgements(): KeyedStream
    {
        /** @var iterable<array{string, ?int, ?int, ?string, ?string, ?string}> $rows */
        $rows = RowStream::of(
            "SELECT keyword, target, fit, intent, topic, difficulty FROM decisions WHERE study_id = ?{$this->range->andKeyword()} "
                ."ORDER BY keyword",
            [$this->study, ...$this->range->bindings()],
        );

        return new KeyedStream(
            (static function () use ($rows): \Generator {
                foreach ($rows as [$keyword, $target, $fit, $intent, $topic, $difficulty]) {
                    yield $keyword => self::judgement($target, $fit, $intent, $topic, $difficulty);
                }
            })(),
        );
    }

    /** @return KeyedStream<true> keywords that a person set aside */
    public function setAside(): KeyedStream
    {
        /** @var iterable<array{string}> $rows */
        $rows = RowStream::of(
            "SELECT keyword FROM decisions WHERE study_id = ? AND mark = ?{$this->range->andKeyword()} ORDER BY keyword",
            [$this->study, Mark::SetAside->value, ...$this->range->bindings()],
        );

        return new KeyedStream(
            (static function () use ($rows): \Generator {
                foreach ($rows as [$keyword]) {
                    yield $keyword => true;
                }
            })(),
        );
    }

    /**
     * @param list<string> $keywords
     *
     * @return array<string, Judgement> keyword → what a person decided, of those that anything was decided about
     */
    public static function judgementsOf(int $study, array $keywords): array
    {
        /** @var Collection<int, DecisionRow> $rows */
        $rows = DB::table('decisions')
            ->where('study_id', $study)
            ->whereIn('keyword', $keywords)
            ->get(['keyword', 'target', 'fit', 'intent', 'topic', 'difficulty']);

        $judgements = [];
        foreach ($rows as $row) {
            $judgements[$row->keyword] = self::judgement($row->target, $row->fit, $row->intent, $row->topic, $row->difficulty);
        }

        return $judgements;
    }

    private static function judgement(?int $target, ?int $fit, ?string $intent, ?string $topic, ?string $difficulty): Judgement
    {
        return new Judgement($target, $fit, $intent === null ? null : Intent::from($intent), $topic, Figures::float($difficulty));
    }

    /** @return KeyedStream<float> median referring domains of the pages at 1–10 on the newest day; left out where none is known */
    public function pageOneMedians(): KeyedStream
    {
        $firstPage = PageOne::LAST;
        /** @var iterable<array{string, int}> $rows */
        $rows = RowStream::of(<<<SQL
            SELECT keyword, referring_domains
            FROM (SELECT keyword, referring_domains, position, day, max(day) OVER (PARTITION BY keyword) AS newest FROM live_results
                WHERE study_id = ?{$this->range->andKeyword()}) dated
            WHERE day = newest AND position <= {$firstPage} AND referring_domains IS NOT NULL ORDER BY keyword
            SQL, [$this->study, ...$this->range->bindings()]);

        return new KeyedStream((static function () use ($rows): \Generator {
            foreach (KeyedStream::grouped($rows) as $keyword => $group) {
                yield $keyword => Quantile::median(array_map(static fn(array $row): float => (float) $row[1], $group));
            }
        })());
    }

    /** @return KeyedStream<MeasuredClicks> our clicks and impressions in the newest performance import */
    public function measuredClicks(): KeyedStream
    {
        /** @var iterable<array{string, int, int}> $rows */
        $rows = RowStream::of(
            'SELECT query, sum(clicks)::bigint, sum(impressions)::bigint FROM performance WHERE study_id = ? AND import_id = ?'
                .$this->range->andKeyword('query').' GROUP BY query ORDER BY query',
            [$this->study, $this->newestPerformance(), ...$this->range->bindings()],
        );

        return new KeyedStream(
            (static function () use ($rows): \Generator {
                foreach ($rows as [$query, $clicks, $impressions]) {
                    yield $query => new MeasuredClicks($clicks, $impressions);
                }
            })(),
        );
    }

    /** @return iterable<array{string, string, int, int}> query, mean position, clicks, impressions of the newest performance import */
    public function performanceRows(): iterable
    {
        /** @var iterable<array{string, string, int, int}> */
        return RowStream::of('SELECT query, position, clicks, impressions FROM performance WHERE study_id = ? AND import_id = ?', [
            $this->study,
            $this->newestPerformance(),
        ]);
    }

    /** @return array<string, int> URL key → referring domains in its newest results or pages row that has them, the largest of a day */
    public function pageLinks(): array
    {
        /** @var list<object{url: string, referring_domains: int}> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT DISTINCT ON (url) url, referring_domains FROM (
                SELECT url, referring_domains, day FROM live_results WHERE study_id = ? AND referring_domains IS NOT NULL
                UNION ALL SELECT url, referring_domains, day FROM live_pages WHERE study_id = ? AND referring_domains IS NOT NULL
            ) known ORDER BY url, day DESC, referring_domains DESC
            SQL, [$this->study, $this->study]);

        return array_column($rows, 'referring_domains', 'url');
    }

    /** @return \Generator<int, string> the study's own keyword list, in key order */
    public function listedKeywords(): \Generator
    {
        $sql = "SELECT DISTINCT keyword FROM metrics JOIN live_sources s ON s.id = source_id WHERE metrics.study_id = ? AND s.kind = "
            ."'keywords'{$this->range->andKeyword()} ORDER BY keyword";
        /** @var iterable<array{string}> $rows */
        $rows = RowStream::of($sql, [$this->study, ...$this->range->bindings()]);
        foreach ($rows as [$keyword]) {
            yield $keyword;
        }
    }

    private function newestPerformance(): int
    {
        return (int) Figures::int(
            DB::table('imports')->where('study_id', $this->study)->where('kind', 'performance')->whereNull('superseded_by')->max('id'),
        );
    }
}
