<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Month;

/**
 * What comes next on a roadmap, and what it is forecast to bring, without what only the board tells of each item.
 *
 * @phpstan-import-type ForecastMonth from PlanQuery
 *
 * @phpstan-type ItemAhead array{month: string, name: string, tactic: string, owner: string, status: string, effort_days: float}
 * @phpstan-type Ahead array{items: list<ItemAhead>, forecast: list<ForecastMonth>}
 */
final class UpcomingItemsQuery
{
    /**
     * @param int $most   items told, at most
     * @param int $months of the forecast, from the month in which the plan starts
     *
     * @return Ahead items that are yet to bring something, the earliest first
     */
    public function execute(Study $study, int $most, int $months): array
    {
        $plan = ScheduledPlan::of($study, PlanSchedule::agreed($study));
        $forecast = array_map(static fn(int $step): Month => $plan->frame->start->plus($step), range(0, $months - 1));
        $ahead = array_filter(
            $plan->items,
            static fn(PlanItem $item): bool => $item->month !== null && ItemStatus::from($item->status)->isOpen(),
        );

        return [
            'items' => array_map(self::told(...), \array_slice(array_values($ahead), 0, $most)),
            'forecast' => array_map(PlanQuery::month(...), $forecast, CachedBands::of($study, $plan->promises(), $forecast)),
        ];
    }

    /** @return ItemAhead */
    private static function told(PlanItem $item): array
    {
        return [
            'month' => (string) $item->month,
            'name' => $item->name,
            'tactic' => $item->tactic,
            'owner' => $item->owner,
            'status' => $item->status,
            'effort_days' => $item->effort_days,
        ];
    }
}
