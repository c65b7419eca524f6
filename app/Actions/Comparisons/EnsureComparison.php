<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Database\KeyedStream;
use App\Support\Database\StudyPartitions;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Gathered;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Metrics\SourcePrecedence;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\WinChance;
use Illuminate\Support\Facades\DB;

/**
 * Gives the comparison that is wanted, computing it first when there is none that is still current. Rows go into a
 * partition that readers do not see before it is complete; what the study showed before stays until then.
 */
final readonly class EnsureComparison
{
    public function __construct(private LearnModels $learn, private StudyPartitions $partitions)
    {
    }

    /** @param ?\Closure(int): void $progress told the number of keywords done, now and then */
    public function execute(ComparisonOrder $order, ?\Closure $progress = null): Comparison
    {
        // One computation per study at a time; who waited finds the result of the other.
        DB::statement('SELECT pg_advisory_lock(hashtextextended(?, 0))', ['comparison '.$order->study->id]);
        try {
            $order->study->refresh()->load('domains');
            $comparison = $this->current($order) ?? DB::transaction(function () use ($order, $progress): Comparison {
                // Both readings of the lists see the same moment, whatever is imported meanwhile.
                DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');

                return $this->compute($order, $progress);
            });
            if ($comparison->wasRecentlyCreated) {
                $this->partitions->settle($comparison->id);
            }
        } finally {
            DB::statement('SELECT pg_advisory_unlock(hashtextextended(?, 0))', ['comparison '.$order->study->id]);
        }
        if ($order->isShown() && $order->study->comparison_id !== $comparison->id) {
            $order->study->update(['comparison_id' => $comparison->id]);
        }
        $this->forgetOld($order->study);

        return $comparison;
    }

    public function current(ComparisonOrder $order): ?Comparison
    {
        /** @var ?Comparison $current */
        $current = Comparison::query()->where('study_id', $order->study->id)->where('channel', $order->channel)->where('within', $order->within)
            ->where('data_version', $order->study->data_version)
            ->when($order->asOf === null, static fn($query) => $query->whereNull('as_of'), static fn($query) => $query->where('as_of', $order->asOf))
            ->latest('id')->first();

        return $current;
    }

    /** @param ?\Closure(int): void $progress */
    private function compute(ComparisonOrder $order, ?\Closure $progress): Comparison
    {
        $study = $order->study;
        $rulebook = $study->rulebook();
        $snapshots = ComparedSnapshots::of($order);
        $comparison = Comparison::query()->create([
            'study_id' => $study->id, 'channel' => $order->channel, 'within' => $order->within, 'as_of' => $order->asOf,
            'data_version' => $study->data_version, 'domains' => $snapshots->describe(), 'summary' => [],
        ]);
        $writer = new RowWriter($this->partitions->createDetached($study->id, $comparison->id), $study->id, $comparison->id);
        $isWeighed = $order->channel === Snapshot::ORGANIC;
        // What is weighed goes by twice.
        $tell = self::everyFewThousand($progress, $isWeighed ? 2 : 1);
        if ($isWeighed) {
            [$models, $tally] = $this->weighInto($writer, $order, $rulebook, $snapshots, $tell);
        } else {
            [$models, $tally] = [null, $this->compareInto($writer, $order, $rulebook, $snapshots, $tell)];
        }
        $writer->finish();
        $this->partitions->attach($study->id, $comparison->id);
        $comparison->update(['summary' => [...$tally->summary(), ...self::describeModels($models)]]);

        return $comparison;
    }

    /**
     * @param ?\Closure(int): void $progress
     *
     * @param positive-int          $passes   how often each keyword goes by
     *
     * @return \Closure(): void to be called each time
     */
    private static function everyFewThousand(?\Closure $progress, int $passes): \Closure
    {
        $done = 0;

        return static function () use ($progress, $passes, &$done): void {
            if (++$done % (5000 * $passes) === 0 && $progress !== null) {
                $progress(intdiv($done, $passes));
            }
        };
    }

    /** @param \Closure(): void $tell */
    private function compareInto(RowWriter $writer, ComparisonOrder $order, Rulebook $rulebook, ComparedSnapshots $snapshots, \Closure $tell): Tally
    {
        $tally = new Tally(\count($snapshots->domains), CtrCurve::default());
        $brands = $this->learn->brands($snapshots->domains);
        $known = MetricsStream::open($order->study->id, $snapshots->domains, SourcePrecedence::of($rulebook));
        $listed = (new KeywordFacts($order->study->id))->listedKeywords();
        foreach ((new Comparator($order->within))->rows($snapshots->currentStreams(), $snapshots->previousStreams(), $listed) as $row) {
            $metrics = $known->of($row->keyword);
            $tally->add($row, $metrics);
            $writer->write($row, $metrics, $brands->domainsIn($row->keyword));
            $tell();
        }

        return $tally;
    }

    /**
     * The lists are read once: what is learnt from all keywords must be known before the first of them can be weighed, so
     * everything gathered waits in a spool meanwhile.
     *
     * @param \Closure(): void $tell
     *
     * @return array{Models, Tally}
     */
    private function weighInto(RowWriter $writer, ComparisonOrder $order, Rulebook $rulebook, ComparedSnapshots $snapshots, \Closure $tell): array
    {
        $spool = new KeywordSpool();
        $models = $this->learn->execute($order->study, $rulebook, $snapshots, static function (Gathered $gathered, Metrics $metrics, ?float $median) use ($spool, $tell): void {
            $spool->add($gathered, $metrics, $median);
            $tell();
        });
        $tally = new Tally(\count($snapshots->domains), $models->curve);
        $weigh = $this->weigher($order->study, $rulebook, $models);
        $topics = new KeyedStream($models->topics->byKeyword());
        $comparator = new Comparator($order->within);
        foreach ($spool->read() as [$gathered, $metrics, $median]) {
            $row = $comparator->row($gathered, $snapshots->previous[0] !== null);
            $found = $topics->at($row->keyword);
            $tally->add($row, $metrics);
            $writer->writeWeighed($weigh($row, $metrics, $median, $found, $gathered->positions()[0]), $found);
            $tell();
        }

        return [$models, $tally];
    }

    /** @return \Closure(ComparisonRow, Metrics, ?float, ?string, ?int): Opportunity row, metrics, median of referring domains on page one, topic found, own position whatever `within` is */
    private function weigher(Study $study, Rulebook $rulebook, Models $models): \Closure
    {
        $facts = new KeywordFacts($study->id);
        $judgements = $facts->judgements();
        $measured = $facts->measuredClicks();
        $links = $facts->pageLinks();
        $winChance = new WinChance($models->winModel, $rulebook->float('head_start_11_20'), $rulebook->float('head_start_21_50'));
        $weigher = new Weigher($rulebook, $models->curve, $models->comfort, $winChance, $models->links, $models->brands);
        $none = new Judgement();

        return static function (ComparisonRow $row, Metrics $metrics, ?float $median, ?string $found, ?int $own) use ($weigher, $models, $judgements, $measured, $links, $none): Opportunity {
            $judgement = $judgements->at($row->keyword) ?? $none;
            $others = ($models->ownPagesByTopic[$found ?? ''] ?? 0) - (TacticRule::isOwnPage($own) ? 1 : 0);

            return $weigher->weigh(new Candidate(
                $row,
                $metrics->corrected($judgement->difficulty),
                $judgement,
                $median,
                $links[$row->ownUrl() ?? ''] ?? 0,
                $measured->at($row->keyword),
                $others > 0,
                $judgement->topic ?? $found,
            ));
        };
    }

    /** @return array<string, mixed> */
    private static function describeModels(?Models $models): array
    {
        if ($models === null) {
            return [];
        }

        return [
            'topics' => $models->topics->count(),
            'comfort' => (array) $models->comfort,
            'win_model' => [
                'intercept' => $models->winModel->intercept,
                'difficulty' => $models->winModel->difficultySlope,
                'authority' => $models->winModel->authoritySlope,
                'rows' => $models->winModel->rows,
                'brier_score' => $models->winModel->brierScore,
                'calibration' => $models->winModel->calibration,
                'assumed' => $models->winModel->isAssumed,
            ],
            'links' => (array) $models->links,
            'curve' => $models->curve->rates(),
        ];
    }

    /** Keeps the comparison on show and the few newest beside it. */
    private function forgetOld(Study $study): void
    {
        /** @var list<Comparison> $old */
        $old = Comparison::query()->where('study_id', $study->id)
            ->when($study->comparison_id !== null, static fn($query) => $query->where('id', '!=', $study->comparison_id))
            ->orderByDesc('id')->skip(config()->integer('reach.kept_comparisons'))->take(100)->get()->all();
        foreach ($old as $comparison) {
            $this->partitions->drop($comparison->id);
            $comparison->delete();
        }
    }
}
