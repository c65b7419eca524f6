<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Intake\BadCell;

/** Our own clicks and impressions by query and page. */
final class PerformanceLoader extends TableLoader
{
    protected static function table(): string
    {
        return 'performance';
    }

    protected static function noun(): string
    {
        return 'row of our performance data';
    }

    public function columns(): array
    {
        return ['query', 'page', 'day', 'clicks', 'impressions', 'position', 'conversions', 'revenue'];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var array{query: string, page?: ?string, date?: ?string, clicks: int, impressions: int, position: float,
         *     conversions?: ?int, revenue?: ?float} $values */
        [$clicks, $impressions] = [$values['clicks'], $values['impressions']];
        if ($clicks > $impressions) {
            return new BadCell(
                $line,
                'clicks',
                (string) $clicks,
                "is more than the impressions, {$impressions}.",
            );
        }

        return [
            $values['query'],
            $values['page'] ?? null,
            $values['date'] ?? $this->order->day,
            $clicks,
            $impressions,
            $values['position'],
            $values['conversions'] ?? null,
            $values['revenue'] ?? null,
        ];
    }
}
