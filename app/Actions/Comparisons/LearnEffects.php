<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\FinishedItem;
use Illuminate\Support\Facades\DB;

/**
 * Finished items that teach what work brings.
 *
 * @phpstan-type Finished array{keyword: string, done_month: string, kind: string, target: int, position: ?int, win_chance: ?float,
 *     reached: ?bool}
 */
final class LearnEffects
{
    /** @return list<FinishedItem> none where the rulebook leaves them out */
    public function finished(Study $study, Rulebook $rulebook): array
    {
        if ($rulebook->text('effect_learnt') !== 'yes') {
            return [];
        }
        $finished = [];
        foreach ($this->items($study, $rulebook) as [$item, $position]) {
            $finished[] = $item->said?->finished($position);
        }

        return array_values(array_filter($finished, static fn(?FinishedItem $item): bool => $item !== null));
    }

    /** @return list<Finished> the same in words */
    public function describe(Study $study, Rulebook $rulebook): array
    {
        $described = [];
        foreach ($this->items($study, $rulebook) as [$item, $position]) {
            $finished = $item->said?->finished($position);
            if ($item->said !== null && $finished !== null) {
                $described[] = [
                    'keyword' => $item->said->lead,
                    'done_month' => (string) $item->done_month,
                    'kind' => $finished->kind->value,
                    'target' => $finished->target,
                    'position' => $position,
                    'win_chance' => $item->said->winChance,
                    'reached' => $item->said->isReached($position),
                ];
            }
        }

        return $described;
    }

    /** @return list<array{PlanItem, ?int}> items past their ramp, and where the lead of each ranks now */
    private function items(Study $study, Rulebook $rulebook): array
    {
        /** @var ?string $newest */
        $newest = Snapshot::query()->where('domain_id', $study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)->max('day');
        if ($newest === null) {
            return [];
        }
        $now = Month::parse(substr($newest, 0, 7));
        $effort = $rulebook->effort();
        /** @var list<PlanItem> $items */
        $items = PlanItem::of($study)->where('status', 'done')->orderBy('id')->get()->all();
        $ripe = array_values(array_filter(
            $items,
            static fn(PlanItem $item): bool => $item->said !== null && $item->done_month !== null && $item->tacticOfPage() !== null
                && Outcome::isRipe(Month::parse($item->done_month), $now, $effort->ramp($item->tacticOfPage())),
        ));
        $positions = self::positions($study, $newest, array_map(static fn(PlanItem $item): string => (string) $item->said?->lead, $ripe));

        return array_map(static fn(PlanItem $item): array => [$item, $positions[(string) $item->said?->lead] ?? null], $ripe);
    }

    /**
     * @param list<string> $keywords
     *
     * @return array<string, int> keyword → our best position on that day
     */
    private static function positions(Study $study, string $day, array $keywords): array
    {
        $snapshot = DB::table('live_snapshots')->where('domain_id', $study->ownDomain()->id)->where('channel', Snapshot::ORGANIC)
            ->where('day', $day)->value('id');

        /** @var array<string, int> */
        return DB::table('rankings')
            ->where('study_id', $study->id)
            ->where('snapshot_id', $snapshot)
            ->where('ordinal', 1)
            ->whereIn('keyword', $keywords)
            ->pluck('position', 'keyword')
            ->all();
    }
}
