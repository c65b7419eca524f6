<?php

declare(strict_types=1);

namespace App\Actions\Pulls;

use App\Models\Study;
use Carbon\CarbonImmutable;

/** On which day of the month a study pulls by itself, and from where. */
final class SchedulePulls
{
    public const LAST_DAY = 28;

    /** The first pull is the next time the day comes. */
    public function execute(Study $study, string $source, int $day): void
    {
        $study->forceFill(['pull_source' => $source, 'pull_day' => $day, 'pulled_on' => now('UTC')->toDateString()])->save();
    }

    public function end(Study $study): void
    {
        $study->forceFill(['pull_source' => null, 'pull_day' => null, 'pulled_on' => null])->save();
    }

    /** The newest day, today or before, on which a study was to pull. */
    public static function due(int $day, CarbonImmutable $today): CarbonImmutable
    {
        $thisMonth = $today->startOfDay()->setDay($day);

        return $thisMonth->greaterThan($today) ? $thisMonth->subMonthNoOverflow() : $thisMonth;
    }

    public static function next(int $day, CarbonImmutable $today): CarbonImmutable
    {
        return self::due($day, $today)->addMonthNoOverflow();
    }
}
