<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Database\Figures;
use Illuminate\Support\Facades\DB;

/**
 * Days a month that each person has for the roadmap, beside what is planned for them.
 *
 * @phpstan-type OwnerLoad array{owner: string, days: ?float, items: int, loads: object}
 */
final class OwnerCapacities
{
    /** @param ?float $days a month, 0 or more; null where the person's days are not counted any more */
    public static function set(Study $study, string $owner, ?float $days): void
    {
        $days === null
            ? DB::table('owner_capacities')->where('study_id', $study->id)->where('owner', $owner)->delete()
            : DB::table('owner_capacities')->upsert(
                [['study_id' => $study->id, 'owner' => $owner, 'days' => $days]],
                ['study_id', 'owner'],
                ['days'],
            );
    }

    /** @return list<OwnerLoad> by name, work without an owner last; loads are days by month */
    public static function loads(Study $study, ScheduledPlan $plan): array
    {
        $open = array_filter(
            $plan->items,
            static fn(PlanItem $item): bool => $item->isAlive() && $item->month !== null && $item->done_month === null,
        );
        /** @var array<string, list<int>> $items */
        $items = [];
        foreach ($open as $item) {
            $items[$item->owner][] = $item->id;
        }
        /** @var array<string, ?string> $days */
        $days = DB::table('owner_capacities')->where('study_id', $study->id)->pluck('days', 'owner')->all();
        $owners = array_map(strval(...), array_keys($items + $days));
        usort($owners, static fn(string $one, string $other): int => [$one === '', $one] <=> [$other === '', $other]);

        return array_map(static fn(string $owner): array => [
            'owner' => $owner,
            'days' => Figures::float($days[$owner] ?? null),
            'items' => \count($items[$owner] ?? []),
            'loads' => (object) $plan->work->loadsOf($items[$owner] ?? []),
        ], $owners);
    }
}
