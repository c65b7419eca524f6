<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\Effect;
use Illuminate\Support\Facades\DB;

/**
 * What finished items teach of how many pages move at all when they are worked on.
 *
 * @phpstan-type Finished array{keyword: string, done_month: string, target: int, position: ?int, reach: float, reached: bool}
 */
final class LearnEffect
{
    public function execute(Study $study): Effect
    {
        return $this->by($study, $study->rulebook());
    }

    /** By another rulebook than the study has. */
    public function by(Study $study, Rulebook $rulebook): Effect
    {
        $assumed = $rulebook->float('effect');
        $items = $this->finished($study, $rulebook);

        return $rulebook->text('effect_learnt') === 'yes' ? Effect::learn($items, $assumed) : Effect::assumed($assumed, \count($items));
    }

    /** @return list<Finished> items past the ramp of that rulebook, of which it is known what was said when they were planned */
    public function finished(Study $study, Rulebook $rulebook): array
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
        $items = array_filter(
            $items,
            static fn(PlanItem $item): bool => ($item->said->reach ?? 0.0) > 0.0 &&
                $item->done_month !== null &&
                Outcome::isRipe(Month::parse($item->done_month), $now, $effort->ramp($item->tacticLabel()->tactic)),
        );
        $leads = array_map(static fn(PlanItem $item): string => $item->said->lead ?? $item->lead, $items);
        $positions = self::positions($study, $newest, $leads);

        return array_map(static fn(PlanItem $item, string $lead): array => [
            'keyword' => $lead,
            'done_month' => (string) $item->done_month,
            'target' => $item->said->target ?? 0,
            'position' => $positions[$lead] ?? null,
            'reach' => $item->said->reach ?? 0.0,
            'reached' => $item->said?->isReached($positions[$lead] ?? null) ?? false,
        ], $items, $leads);
    }

    /**
     * @param array<int, string> $keywords
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
