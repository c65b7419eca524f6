<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Study;
use App\Support\Calendar\IcsCalendar;

/** A plan as a calendar: each item on the first day of the month in which it is to be published, or else begun. */
final class PlanCalendar
{
    /**
     * @param list<array{month: string, item: string, lead: string, tactic: string, effort_days: float, expected_gain: float,
     *     publish_by: ?string, identity?: string, ...}> $plan identity: what tells it from others of the same name
     */
    public static function of(Study $study, array $plan, \DateTimeImmutable $now): IcsCalendar
    {
        $calendar = new IcsCalendar($now);
        foreach ($plan as $item) {
            $calendar->add(
                $study->slug.' '.($item['identity'] ?? $item['item']),
                new \DateTimeImmutable(($item['publish_by'] ?? $item['month']).'-01', new \DateTimeZone('UTC')),
                ucfirst($item['tactic']).': '.$item['item'],
                sprintf(
                    "Leads: %s\nPlanned for %s, %s days of work\nExpected gain: %s visits a month",
                    $item['lead'],
                    $item['month'],
                    $item['effort_days'],
                    round($item['expected_gain']),
                ),
            );
        }

        return $calendar;
    }
}
