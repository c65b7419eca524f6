<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlanWorkload;

/** A roadmap or a draft of one with what is known of its items: the days they take, month by month, and what they promise. */
final readonly class ScheduledPlan
{
    /** @param list<PlanItem> $items */
    private function __construct(
        public PlanSchedule $frame,
        public array $items,
        public PlanFacts $facts,
        public PlanWorkload $work,
        private ?Month $counted,
    ) {
    }

    public static function of(Study $study, PlanSchedule $frame): self
    {
        $items = $frame->items($study);

        return self::with($frame, $items, PlanFacts::of($study, $study->comparison, $items), self::newest($study));
    }

    /** The same items laid otherwise: what is known of them stays. */
    public function laidAs(Study $study, PlanSchedule $frame): self
    {
        return self::with($frame, $frame->items($study), $this->facts, $this->counted);
    }

    /**
     * @param ?int $without item that is left out
     *
     * @return list<ForecastItem> of those that have a month and were not dropped
     */
    public function promises(?int $without = null): array
    {
        $planned = array_filter(
            $this->items,
            static fn(PlanItem $item): bool => $item->id !== $without && $item->isAlive() && $item->month !== null && ! $item->isLinks(),
        );

        return array_values(array_map($this->promise(...), $planned));
    }

    private function promise(PlanItem $item): ForecastItem
    {
        $ends = $this->work->endOf($item->id) ?? Month::parse((string) $item->month);
        $done = $item->done_month === null ? $ends : Month::parse($item->done_month);
        if ($item->done_month !== null && $item->said !== null) {
            return $item->said->promise($item->drawsAs(), $done, $this->counted);
        }
        $facts = $this->facts->at($item);
        $tactic = $item->tacticOfPage() ?? throw new \LogicException('Links have no forecast.');

        return new ForecastItem($item->drawsAs(), $facts->gains($tactic), $facts->season(), $done, $this->facts->effort()->ramp($tactic));
    }

    /** The month of our newest snapshot, whose visits hold what finished work has brought. */
    private static function newest(Study $study): ?Month
    {
        $day = Snapshot::query()->where('domain_id', $study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)->max('day');

        return \is_string($day) ? Month::parse(substr($day, 0, 7)) : null;
    }

    /** @param list<PlanItem> $items */
    private static function with(PlanSchedule $frame, array $items, PlanFacts $facts, ?Month $counted): self
    {
        $work = [];
        foreach ($items as $item) {
            if ($item->month !== null && $item->isAlive()) {
                $work[$item->id] = ['begins' => Month::parse($item->month), 'days' => $item->effort_days];
            }
        }

        return new self($frame, $items, $facts, PlanWorkload::of($work, $frame->capacity), $counted);
    }
}
