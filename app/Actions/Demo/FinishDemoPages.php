<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\AddToPlan;
use App\Actions\Plans\ChangePlan;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use App\Support\Sources\PublishingRecord;
use App\Support\Sources\SourceProblem;
use App\Support\Texts;
use Carbon\Carbon;
use GreaterReach\Core\Plan\Unit;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Puts the pages that were written or improved in the last months on the roadmap as it would have been done then: planned in rounds, each
 * with the comparison of its day, and finished in their months.
 *
 * @phpstan-type Publication array{day: string, keyword: string, url: string}
 */
final readonly class FinishDemoPages
{
    private const MONTHS = 8;

    /** Months that one round plans for. */
    private const ROUND = 4;

    public function __construct(private EnsureComparison $ensure, private AddToPlan $add, private ChangePlan $change)
    {
    }

    /** @throws SourceProblem */
    public function execute(Study $study, PublishingRecord $record, DemoPeople $people): void
    {
        $shown = $study->as_of;
        $publications = $record->publications($study->ownDomain()->entry, now('UTC')->toDateString());
        $finished = [];
        foreach (array_chunk(self::months($publications), self::ROUND, true) as $round) {
            $finished += $this->plan($study, $round, $people);
        }
        foreach ($finished as $topic => $month) {
            $this->finish($study, (string) $topic, $month, $people);
        }
        $study->update(['as_of' => $shown]);
    }

    /**
     * @param list<Publication> $publications
     *
     * @return array<string, list<Publication>> month → what was published in it, of the last months that are over
     */
    private static function months(array $publications): array
    {
        $current = now('UTC')->format('Y-m');
        $first = now('UTC')->startOfMonth()->subMonths(self::MONTHS)->format('Y-m');
        $months = [];
        foreach ($publications as $one) {
            $month = substr($one['day'], 0, 7);
            if ($month >= $first && $month < $current) {
                $months[$month][] = $one;
            }
        }

        return $months;
    }

    /**
     * @param array<string, list<Publication>> $round month → what was published in it
     *
     * @return array<string, string> topic → month in which it was published
     */
    private function plan(Study $study, array $round, DemoPeople $people): array
    {
        $day = array_key_first($round).'-01';
        $study->update(['as_of' => $day]);

        return Carbon::withTestNow($day.' 12:00:00', function () use ($study, $round, $people): array {
            $comparison = $this->ensure->execute(ComparisonOptions::shownBy($study->refresh()));
            $study->refresh()->load('domains');
            $planned = [];
            foreach ($round as $month => $publications) {
                foreach ($publications as $one) {
                    $topic = self::topic($study, $comparison, $one);
                    $planned += $topic === null ? [] : [$topic => $month];
                }
            }
            $this->add->topics($study, Texts::list(array_keys($planned)), $people->editor->id);

            return $planned;
        });
    }

    /**
     * That of its keyword; where no one is above us for that, of the most searched one of those that the page ranks for by now.
     *
     * @param Publication $one
     */
    private static function topic(Study $study, Comparison $comparison, array $one): ?string
    {
        $newest = Snapshot::query()->where('domain_id', $study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)->max('day');
        $ranked = DB::table('rankings')->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
            ->where('rankings.study_id', $study->id)->where('domain_id', $study->ownDomain()->id)->where('day', $newest)
            ->where('url', 'like', '%'.preg_replace('#^https?://#', '', $one['url']))->select('keyword');
        $topic = ListedRows::of($comparison, Sentence::parse('mark=kept'), $study->rulebook()->fitGate())
            ->where(static fn(Builder $query): Builder => $query->where('keyword', $one['keyword'])->orWhereIn('keyword', $ranked))
            ->orderByRaw('keyword = ? DESC, volume DESC NULLS LAST, keyword', [$one['keyword']])->value('topic');

        return \is_string($topic) ? $topic : null;
    }

    private function finish(Study $study, string $topic, string $month, DemoPeople $people): void
    {
        $item = PlanItem::of($study)->where('unit', Unit::Topic)->where('name', $topic)->where('status', '!=', 'done')->first();
        if ($item !== null) {
            $owner = $people->turn($item->id);
            $changes = ['month' => $month, 'owner' => $owner->name, 'status' => 'done', 'done_month' => $month];
            $this->change->change($study, $item->id, $changes, $item->version, $owner->id);
        }
    }
}
