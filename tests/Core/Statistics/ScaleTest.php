<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use GreaterReach\Core\Statistics\Scale;
use PHPUnit\Framework\TestCase;

final class ScaleTest extends TestCase
{
    /** Source: the definition of the population's standard deviation, by hand. */
    public function test_mean_deviation_and_range_of_values_that_occur_many_times(): void
    {
        $scale = new Scale();
        foreach ([[.25, 3], [.75, 3], [.5, 2]] as [$value, $rows]) {
            $scale->add($value, $rows);
        }
        self::assertSame(.5, $scale->mean());
        self::assertEqualsWithDelta(sqrt(6 * .0625 / 8), $scale->deviation(), 1e-15);
        self::assertSame([.25, .75], $scale->range());
        self::assertTrue($scale->varies());
    }

    public function test_it_varies_to_either_side_of_the_first(): void
    {
        $of = static function (float ...$values): Scale {
            $scale = new Scale();
            foreach ($values as $value) {
                $scale->add($value, 1);
            }

            return $scale;
        };
        self::assertSame([false, false, true, true], [
            $of()->varies(), $of(3.0, 3.0)->varies(), $of(3.0, 3.5)->varies(), $of(3.0, 2.5)->varies(),
        ]);
        self::assertSame([0.0, 0.0, [0.0, 0.0]], [$of()->mean(), $of()->deviation(), $of()->range()]);
        self::assertSame([3.0, 0.0, [3.0, 3.0]], [$of(3.0)->mean(), $of(3.0)->deviation(), $of(3.0)->range()]);
        self::assertSame([[2.5, 3.0], [2.5, 4.0]], [$of(3.0, 2.5)->range(), $of(3.0, 2.5, 4.0)->range()]);
    }
}
