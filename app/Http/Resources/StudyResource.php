<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Comparison;
use App\Models\Domain;
use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\RankedRows;
use App\Support\Sentence\Sentence;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * A study with what waits at each stage.
 *
 * @property Study $resource
 */
final class StudyResource extends JsonResource
{
    /** Days after which a snapshot counts as stale: a month and a little. */
    private const STALE_AFTER = 35;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $study = $this->resource;
        $compared = $study->comparedDomains();

        return [
            'slug' => $study->slug,
            'name' => $study->name,
            'country' => $study->country,
            'language' => $study->language,
            'device' => $study->device,
            'currency' => $study->currency,
            'as_of' => $study->as_of?->toDateString(),
            'domain' => $compared[0]->entry ?? null,
            'competitors' => array_map(static fn(Domain $domain): string => $domain->entry, array_slice($compared, 1)),
            'may_edit' => Gate::allows('update', $study),
            'stages' => [
                'gather' => self::gather($study, $compared),
                'compare' => self::compare($study->comparison),
                'weigh' => self::weigh($study),
                'plan' => self::plan($study),
            ],
            'comparison' => $study->comparison === null ? null : ComparisonResource::make($study->comparison),
            'is_current' => $study->comparison !== null && $study->comparison->data_version === $study->data_version
                && $study->comparison->as_of?->toDateString() === $study->as_of?->toDateString(),
        ];
    }

    /**
     * @param list<Domain> $compared
     *
     * @return array{domains: int, without_rankings: int, stale: int}
     */
    private static function gather(Study $study, array $compared): array
    {
        $newest = Snapshot::query()->where('study_id', $study->id)->where('channel', Snapshot::ORGANIC)->groupBy('domain_id')->selectRaw('domain_id, max(day) AS day')->pluck('day', 'domain_id');
        $ids = array_map(static fn(Domain $domain): int => $domain->id, $compared);
        $limit = now('UTC')->subDays(self::STALE_AFTER)->toDateString();

        return [
            'domains' => count($ids),
            'without_rankings' => count(array_filter($ids, static fn(int $id): bool => ! isset($newest[$id]))),
            'stale' => count(array_filter($ids, static fn(int $id): bool => isset($newest[$id]) && (string) $newest[$id] < $limit)),
        ];
    }

    /** @return ?array{keywords: int, gaps: int} gaps as Compare shows them from the start */
    private static function compare(?Comparison $comparison): ?array
    {
        return $comparison === null ? null : ['keywords' => $comparison->keywords(), 'gaps' => (new ComparisonRows($comparison))->query(Sentence::parse('standing=gap;'.Sentence::START))->count()];
    }

    /** @return array{items: int, overdue: int, done: int} */
    private static function plan(Study $study): array
    {
        $row = PlanItem::of($study)->toBase()
            ->selectRaw("count(*) FILTER (WHERE status NOT IN ('done', 'dropped')) AS items, count(*) FILTER (WHERE status = 'done') AS done, count(*) FILTER (WHERE status IN ('planned', 'writing') AND (due < current_date OR month < to_char(current_date, 'YYYY-MM'))) AS overdue")->first();

        return ['items' => $row->items ?? 0, 'overdue' => $row->overdue ?? 0, 'done' => $row->done ?? 0];
    }

    /** @return ?array{quick_wins: int, shortlisted: int} quick wins as Weigh shows them from the start */
    private static function weigh(Study $study): ?array
    {
        if ($study->comparison === null) {
            return null;
        }

        return [
            'quick_wins' => (new RankedRows($study->comparison, Sentence::parse('horizon=quick win;'.Sentence::START_WEIGHING), $study->rulebook()->int('min_fit'), true))->count(),
            'shortlisted' => DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->count(),
        ];
    }
}
