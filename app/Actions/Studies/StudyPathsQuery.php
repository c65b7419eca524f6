<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Models\Domain;
use App\Models\Snapshot;
use App\Models\Study;
use App\Models\User;
use App\Support\Mark;
use GreaterReach\Core\Comparison\Freshness;
use GreaterReach\Core\Plan\ItemStatus;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What waits at each stage of some studies, with the same few questions however many they are.
 *
 * @phpstan-type PathItem object{study_id: int, status: string, due: ?string, month: ?string}
 */
final class StudyPathsQuery
{
    /**
     * @param list<Study> $studies with their domains
     *
     * @return array<int, StudyPath> study → path
     */
    public function execute(array $studies, User $user): array
    {
        $ids = array_map(static fn(Study $study): int => $study->id, $studies);
        $today = now('UTC')->toDateString();
        $newest = $this->newestDays($ids);
        $roles = DB::table('study_members')->where('user_id', $user->id)->whereIn('study_id', $ids)->pluck('role', 'study_id');
        /** @var Collection<int, int> $shortlisted */
        $shortlisted = DB::table('decisions')
            ->whereIn('study_id', $ids)
            ->where('mark', Mark::Shortlisted->value)
            ->groupBy('study_id')
            ->selectRaw('study_id, count(*) AS keywords')
            ->pluck('keywords', 'study_id');
        $items = $this->items($studies);
        /** @var Collection<int, int> $changes */
        $changes = DB::table('changes')->whereIn('study_id', $ids)->groupBy('study_id')->selectRaw('study_id, max(id) AS newest')
            ->pluck('newest', 'study_id');
        $paths = [];
        foreach ($studies as $study) {
            $days = array_map(static fn(Domain $domain): ?string => $newest[$domain->id] ?? null, $study->comparedDomains());
            $known = array_filter($days);
            $own = $items[$study->id] ?? new Collection();
            $paths[$study->id] = new StudyPath(
                $user->is_administrator || $roles->get($study->id) === 'editor',
                \count($days),
                \count($days) - \count($known),
                \count(array_filter($known, static fn(string $day): bool => Freshness::isStale($day, $today))),
                $shortlisted[$study->id] ?? 0,
                $own->filter(static fn(object $item): bool => ItemStatus::from($item->status)->isOpen())->count(),
                $own
                    ->filter(static fn(object $item): bool => ItemStatus::from($item->status)->isOverdue($item->due, $item->month, $today))
                    ->count(),
                $own->filter(static fn(object $item): bool => $item->status === ItemStatus::Done->value)->count(),
                $changes[$study->id] ?? 0,
            );
        }

        return $paths;
    }

    /**
     * @param list<int> $studies
     *
     * @return array<int, string> domain → newest day of its organic rankings
     */
    private function newestDays(array $studies): array
    {
        /** @var array<int, string> */
        return Snapshot::query()->whereIn('study_id', $studies)->where('channel', Snapshot::ORGANIC)->groupBy('domain_id')
            ->selectRaw('domain_id, max(day) AS day')->toBase()->pluck('day', 'domain_id')->all();
    }

    /**
     * @param list<Study> $studies
     *
     * @return array<int, Collection<int, PathItem>> study → items planned from the side that it is seen from
     */
    private function items(array $studies): array
    {
        $sides = array_map(static fn(Study $study): int => $study->ownDomain()->id, $studies);

        /** @var array<int, Collection<int, PathItem>> */
        return DB::table('plan_items')
            ->whereIn('domain_id', $sides)
            ->get(['study_id', 'status', 'due', 'month'])
            ->groupBy('study_id')
            ->all();
    }
}
