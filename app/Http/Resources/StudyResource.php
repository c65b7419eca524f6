<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\Pulls\SchedulePulls;
use App\Actions\Studies\StudyPath;
use App\Models\Domain;
use App\Models\Study;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A study with what waits at each stage.
 *
 * @property Study $resource
 */
final class StudyResource extends JsonResource
{
    /** @param list<string> $notes what saving it has brought about, a sentence each */
    public function __construct(Study $study, private readonly StudyPath $path, private readonly array $notes = [])
    {
        parent::__construct($study);
    }

    /** @return ?array{source: string, day: int, next: string} the day of the month on which it pulls by itself, and when that is next */
    public static function schedule(Study $study): ?array
    {
        return $study->pull_day === null ? null : [
            'source' => (string) $study->pull_source,
            'day' => $study->pull_day,
            'next' => SchedulePulls::next($study->pull_day, CarbonImmutable::now('UTC'))->toDateString(),
        ];
    }

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $study = $this->resource;
        $comparison = $study->comparison;

        return [
            'slug' => $study->slug,
            'name' => $study->name,
            'country' => $study->country,
            'language' => $study->language,
            'device' => $study->device,
            'currency' => $study->currency,
            'as_of' => $study->as_of?->toDateString(),
            'domain' => $study->ownDomain()->entry,
            'competitors' => array_map(static fn(Domain $domain): string => $domain->entry, \array_slice($study->comparedDomains(), 1)),
            'may_edit' => $this->path->mayEdit,
            'stages' => [
                'gather' => [
                    'domains' => $this->path->domains,
                    'without_rankings' => $this->path->withoutRankings,
                    'stale' => $this->path->stale,
                ],
                'compare' => $comparison === null ? null : ['keywords' => $comparison->keywords(), 'gaps' => $comparison->shown_gaps],
                'weigh' =>
                    $comparison === null
                        ? null
                        : ['quick_wins' => $comparison->shown_quick_wins, 'shortlisted' => $this->path->shortlisted],
                'plan' => ['items' => $this->path->items, 'overdue' => $this->path->overdue, 'done' => $this->path->done],
            ],
            'comparison' => $comparison === null ? null : ComparisonResource::make($comparison),
            'finding' => $comparison?->finding,
            'pull_schedule' => self::schedule($study),
            'newest_change' => $this->path->newestChange,
            'notes' => $this->notes,
            'is_current' => $comparison !== null && $comparison->isCurrentFor($study),
        ];
    }
}
