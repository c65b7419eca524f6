<?php

declare(strict_types=1);

namespace Tests\Feature\Documents;

use App\Actions\Documents\ShareLines;
use PHPUnit\Framework\TestCase;

/** The lines of the month in review, laid by hand. */
final class ShareLinesTest extends TestCase
{
    public function test_days_lie_in_true_time_and_what_is_unknown_breaks_the_line_off(): void
    {
        $days = [
            ['day' => '2026-01-01', 'shares' => [.2, .4, null]],
            ['day' => '2026-01-02', 'shares' => [.1, null, null]],
            ['day' => '2026-01-06', 'shares' => [null, .2, null]],
            ['day' => '2026-01-11', 'shares' => [.4, .1, null]],
        ];
        self::assertSame(
            [
                'M0.0,50.0L10.0,75.0M100.0,0.0m-2,0h4',
                'M0.0,0.0m-2,0h4M50.0,50.0L100.0,75.0',
                '',
            ],
            ShareLines::of($days, 3, 100.0, 100.0),
        );
    }

    public function test_a_single_day_lies_at_the_end_and_no_share_at_all_on_the_ground(): void
    {
        self::assertSame(['M100.0,50.0m-2,0h4'], ShareLines::of([['day' => '2026-01-01', 'shares' => [0.0]]], 1, 100.0, 50.0));
        self::assertSame(['M100.0,25.0m-2,0h4'], ShareLines::of([['day' => '2026-01-01', 'shares' => [.005]]], 1, 100.0, 50.0));
        self::assertSame(['', ''], ShareLines::of([], 2, 100.0, 50.0));
    }
}
