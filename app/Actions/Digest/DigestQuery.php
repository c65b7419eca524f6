<?php

declare(strict_types=1);

namespace App\Actions\Digest;

use App\Actions\Findings\FindingsQuery;
use App\Actions\Plans\ChangesSinceQuery;
use App\Actions\Plans\TrackQuery;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Plan\ItemStatus;

/**
 * What a new month brings, in few lines: what stands out, what moved, what is late, what was reached.
 *
 * @phpstan-type Digest array{day: string, findings: list<string>, moved: list<string>, late: list<string>, reached: list<string>}
 */
final readonly class DigestQuery
{
    private const MOST = 5;

    public function __construct(private FindingsQuery $findings, private ChangesSinceQuery $since, private TrackQuery $track)
    {
    }

    /** @return Digest */
    public function execute(Study $study, Comparison $comparison): array
    {
        return [
            'day' => (string) $comparison->domains[0]['snapshot'],
            'findings' => array_map(
                static fn(Finding $finding): string => $finding->words,
                \array_slice($this->findings->execute($study), 0, self::MOST),
            ),
            'moved' => $this->moved($study, $comparison),
            'late' => self::late($study),
            'reached' => $this->reached($study),
        ];
    }

    /** @return list<string> beyond what positions vary by themselves */
    private function moved(Study $study, Comparison $comparison): array
    {
        $since = $this->since->execute($study, $comparison);
        if ($since === null) {
            return [];
        }
        $count = static fn(string $movement): string => number_format($since['moved'][$movement] ?? 0);

        return [
            "Climbed {$count('climbed')}, dropped {$count('slipped')}, entered {$count('entered')}, left {$count('left')}",
            sprintf(
                'Gaps: %s opened, %s closed',
                number_format($since['opened']['keywords']),
                number_format($since['closed']['keywords']),
            ),
        ];
    }

    /** @return list<string> items that were to be finished before this month, or whose day has passed */
    private static function late(Study $study): array
    {
        $items = PlanItem::of($study)->orderBy('month')->orderBy('id')->get()->all();
        $month = now('UTC')->format('Y-m');
        $day = now('UTC')->toDateString();
        $late = array_filter($items, static fn(PlanItem $item): bool => ItemStatus::from($item->status)->isOpen()
            && (($item->month !== null && $item->month < $month) || ($item->due !== null && $item->due->toDateString() < $day)));

        return array_map(
            static fn(PlanItem $item): string => $item->name.($item->owner === '' ? '' : ", {$item->owner}")
                .($item->due === null ? ", planned for {$item->month}" : ', due '.$item->due->toDateString()),
            \array_slice(array_values($late), 0, self::MOST),
        );
    }

    /** @return list<string> finished pages that are where they were meant to be, the newest first */
    private function reached(Study $study): array
    {
        $reached = array_filter($this->track->execute($study)['items'], static fn(array $item): bool => $item['is_reached'] === true);

        return array_map(
            static fn(array $item): string => "{$item['name']}: position {$item['position_now']}"
                .($item['net'] === null ? '' : ', '.number_format($item['net']).' net visits a month'),
            \array_slice(array_reverse(array_values($reached)), 0, self::MOST),
        );
    }
}
