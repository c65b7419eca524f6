<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use Illuminate\Support\Facades\Cache;

/** Caches the bands of a forecast, so that opening a plan again needs no new draws. */
final class CachedBands
{
    private const DAY = 86_400;

    /**
     * @param list<ForecastItem> $items
     * @param list<Month>        $months
     *
     * @return list<Band> one per month
     */
    public static function of(Study $study, array $items, array $months): array
    {
        $draws = CachedDraws::of($study);
        $asked = [
            implode(' ', [$draws->rules, ...$months]),
            ...array_map(self::promised(...), $items),
        ];
        /** @var list<array{float, float, float, float}> $figures */
        $figures = Cache::remember(
            'bands '.hash('sha256', implode("\n", $asked)),
            self::DAY,
            static fn(): array => array_map(
                static fn(Band $band): array => [$band->p10, $band->p50, $band->p90, $band->mean],
                ForecastPages::forecast($study, $draws)->bands($items, $months),
            ),
        );

        return array_map(static fn(array $band): Band => new Band(...$band), $figures);
    }

    /** All that an item promises, as bytes. */
    private static function promised(ForecastItem $item): string
    {
        return "{$item->done} {$item->ramp} {$item->counted} ".pack('E*', ...$item->season->indices()).CachedDraws::promised($item);
    }
}
