<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\ComparisonSummary;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\CopyWriter;
use App\Support\Database\KeyRange;
use App\Support\Pulse;
use App\Support\Rows\RowStorage;
use App\Support\Rows\TopicRows;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\GatheredKeyword;
use GreaterReach\Core\Metrics\Metrics;
use Illuminate\Support\Facades\DB;

/**
 * Gives the comparison that is wanted, computing it first when there is none that is still current. Rows go into a
 * place that readers do not see before it is complete; what the study showed before stays until then.
 */
final readonly class EnsureComparison
{
    public function __construct(
        private LearnModels $learn,
        private RowStorage $storage,
        private UpdateShownCounts $count,
    ) {
    }

    /** @param ?\Closure(int): void $progress told the number of keywords done, now and then */
    public function execute(ComparisonOptions $order, ?\Closure $progress = null): Comparison
    {
        // One computation per study at a time; who waited finds the result of the other.
        DB::statement('SELECT pg_advisory_lock(hashtextextended(?, 0))', ['comparison '.$order->study->id]);
        try {
            $order->study->refresh()->load('domains');
            $comparison = $this->current($order) ?? DB::transaction(function () use ($order, $progress): Comparison {
                // Both readings of the lists see the same snapshot, even if an import runs.
                DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');

                return $this->compute($order, $progress);
            });
            if ($comparison->wasRecentlyCreated && $comparison->has_own_rows) {
                $this->storage->settle($comparison->id);
            }
        } finally {
            DB::statement('SELECT pg_advisory_unlock(hashtextextended(?, 0))', ['comparison '.$order->study->id]);
        }
        if ($order->isShown()) {
            $this->show($order->study, $comparison);
        }
        $this->forgetOld($order->study);

        return $comparison;
    }

    /** A study without lists shows no comparison instead of an empty one, so that every stage can say what to do first. */
    private function show(Study $study, Comparison $comparison): void
    {
        $shown = $comparison->keywords() > 0 ? $comparison->id : null;
        if ($study->comparison_id !== $shown) {
            $this->count->execute($comparison, $study->rulebook());
            $study->update(['comparison_id' => $shown]);
        }
    }

    public function current(ComparisonOptions $order): ?Comparison
    {
        /** @var ?Comparison $current */
        $current = Comparison::query()
            ->where('study_id', $order->study->id)
            ->where('channel', $order->channel)
            ->where('within', $order->within)
            ->where('data_version', $order->study->data_version)
            ->when(
                $order->asOf === null,
                static fn($query) => $query->whereNull('as_of'),
                static fn($query) => $query->where('as_of', $order->asOf),
            )
            ->latest('id')
            ->first();

        return $current;
    }

    /** @param ?\Closure(int): void $progress */
    private function compute(ComparisonOptions $order, ?\Closure $progress): Comparison
    {
        $study = $order->study;
        $snapshots = ComparedSnapshots::of($order);
        $comparison = Comparison::query()->create([
            'study_id' => $study->id, 'channel' => $order->channel, 'within' => $order->within, 'as_of' => $order->asOf,
            'data_version' => $study->data_version, 'domains' => $snapshots->describe(), 'summary' => ComparisonSummary::none(),
        ]);
        $isWeighed = $order->channel === Snapshot::ORGANIC;
        // What is weighed goes by twice.
        $tell = self::beating($progress, $isWeighed ? 2 : 1);
        $comparison->update([
            'summary' => $isWeighed
                ? $this->weighInto($order, $snapshots, $comparison, $tell)
                : $this->compareInto($order, $snapshots, $comparison, $tell),
        ]);
        $comparison->update(['own_visits' => (float) $comparison->table()->query()->sum('visits_now')]);

        return $comparison;
    }

    /**
     * @param ?\Closure(int): void $progress
     *
     * @param positive-int          $passes   how often each keyword goes by
     *
     * @return \Closure(int=): void to be called each time, with 0 where no keyword goes by
     */
    private static function beating(?\Closure $progress, int $passes): \Closure
    {
        $done = 0;
        $pulse = new Pulse($progress);

        return static function (int $more = 1) use ($pulse, $passes, &$done): void {
            $done += $more;
            $pulse->beat(intdiv($done, $passes));
        };
    }

    /**
     * @param \Closure(): void $tell
     */
    private function compareInto(
        ComparisonOptions $order,
        ComparedSnapshots $snapshots,
        Comparison $comparison,
        \Closure $tell,
    ): ComparisonSummary {
        $copy = $this->roomFor($comparison, $snapshots->rankings());
        $tally = new ComparisonTally(\count($snapshots->domains), CtrCurve::default());
        $rows = new RowLines($snapshots->study, $comparison->id);
        $brands = $this->learn->brands($snapshots->domains);
        $range = KeyRange::whole();
        $known = MetricsStream::open($snapshots->study, $snapshots->domains, $order->study->rulebook()->precedence());
        $listed = (new KeywordStreams($snapshots->study))->listedKeywords();
        $comparator = new Comparator($order->within, $order->study->rulebook()->float('movement_noise'));
        foreach ($comparator->rows($snapshots->currentStreams($range), $snapshots->previousStreams($range), $listed) as $row) {
            $metrics = $known->of($row->keyword);
            $tally->add($row, $metrics);
            $copy->add($rows->of(WeighedRow::compared($row, $metrics, $brands->domainsIn($row->keyword))));
            $tell();
        }

        $this->complete($comparison, $copy);

        return $tally->summary();
    }

    /**
     * The lists are read once: what is learnt from all keywords must be known before the first of them can be weighed, so
     * everything gathered waits in files in the meantime.
     *
     * @param \Closure(int=): void $tell
     */
    private function weighInto(
        ComparisonOptions $order,
        ComparedSnapshots $snapshots,
        Comparison $comparison,
        \Closure $tell,
    ): ComparisonSummary {
        $study = $order->study;
        $curve = $this->learn->curve($study->rulebook(), new KeywordStreams($study->id), $this->learn->brands($snapshots->domains));
        $tally = new ComparisonTally(\count($snapshots->domains), $curve);
        $comparator = new Comparator($order->within);
        $clicks = new FeatureClicks($study->rulebook()->shares('feature_clicks'));
        $moves = $snapshots->previous[0] !== null;
        $parts = ComparisonParts::open($order, $snapshots, $comparison->id);
        try {
            $learnt = $this->learn->execute($study, $snapshots, $curve, $parts->gathered(), static function (
                GatheredKeyword $gathered,
                Metrics $metrics,
                array $features,
            ) use ($tally, $comparator, $moves, $tell, $clicks): void {
                $tally->add($comparator->row($gathered, $moves), $metrics, $clicks->shareLeft($features));
                $tell();
            });
            $parts->teach($learnt->models, $learnt->found);
            $weighed = $parts->weighed();
            // The models are judged while the first parts are weighed.
            $summary = $tally->summary()->weighed(($learnt->judge)(), $learnt->found->topics());
            unset($learnt);
            $copy = $this->roomFor($comparison, $summary->keywords);
            foreach ($weighed as $line) {
                $copy->add($line);
                $tell();
            }
            // Topics are weighed beside while the rows get their indexes.
            $topics = $parts->topics();
            $this->complete($comparison, $copy);
            $this->keepTopics($comparison, $topics, $tell);
        } finally {
            $parts->close();
        }

        return $summary;
    }

    /**
     * @param iterable<string>     $lines as COPY reads them
     * @param \Closure(int=): void $tell
     */
    private function keepTopics(Comparison $comparison, iterable $lines, \Closure $tell): void
    {
        $copy = TopicRows::writer($comparison->topicTable());
        foreach ($lines as $line) {
            $copy->add($line);
            $tell(0);
        }
        $copy->flush();
        if ($comparison->has_own_rows) {
            $this->storage->indexTopics($comparison->id);
        }
    }

    /** @param int $rows about how many there will be */
    private function roomFor(Comparison $comparison, int $rows): CopyWriter
    {
        $comparison->has_own_rows = $rows >= config()->integer('reach.rows_of_a_large_comparison');
        if ($comparison->has_own_rows) {
            $this->storage->create($comparison->id);
        }

        return new CopyWriter($comparison->table()->name(), RowLines::columns());
    }

    private function complete(Comparison $comparison, CopyWriter $copy): void
    {
        $copy->flush();
        if ($comparison->has_own_rows) {
            $this->storage->index($comparison->id);
        }
    }

    /** Keeps the comparison on show and the few newest beside it. */
    private function forgetOld(Study $study): void
    {
        /** @var list<Comparison> $old */
        $old = Comparison::query()->where('study_id', $study->id)
            ->when($study->comparison_id !== null, static fn($query) => $query->where('id', '!=', $study->comparison_id))
            ->orderByDesc('id')->skip(config()->integer('reach.kept_comparisons'))->take(100)->get()->all();
        foreach ($old as $comparison) {
            $this->storage->forget($comparison->study_id, $comparison->id, $comparison->has_own_rows);
            $comparison->delete();
        }
    }
}
