<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Facades\DB;

/** From when, for how long and with how many days a month a study plans, and which item lies where: as agreed, or in a draft. */
final readonly class PlanSchedule
{
    public const START_CAPACITY = 10.0;
    public const START_MONTHS = 6;

    /**
     * @param ?array<int, string> $placements of a draft: number of the item → month; null for the agreed plan, whose items know their
     *     month
     */
    private function __construct(public Month $start, public int $months, public float $capacity, private ?array $placements)
    {
    }

    public static function agreed(Study $study): self
    {
        /** @var ?object{start: string, months: int, capacity: string} $kept */
        $kept = DB::table('plans')->where('study_id', $study->id)->first();

        return new self(
            Month::parse($kept->start ?? now('UTC')->format('Y-m')),
            $kept->months ?? self::START_MONTHS,
            (float) ($kept->capacity ?? self::START_CAPACITY),
            null,
        );
    }

    public static function ofDraft(PlanDraft $draft): self
    {
        return new self(Month::parse($draft->start), $draft->months, $draft->capacity, $draft->placements);
    }

    /** @return list<PlanItem> of the study, each in the month where it lies here; what is done lies where it was done */
    public function items(Study $study): array
    {
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->orderBy('month')->orderBy('id')->get()->all();
        foreach ($this->placements === null ? [] : $items as $item) {
            $item->month = $item->status === 'done' ? $item->month : $this->placements[$item->id] ?? null;
        }

        return $items;
    }
}
