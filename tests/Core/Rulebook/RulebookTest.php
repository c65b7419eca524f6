<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Rulebook\Settings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RulebookTest extends TestCase
{
    public function test_every_default_can_be_written_and_read_back(): void
    {
        $standard = Rulebook::standard();
        foreach (array_keys(Settings::all()) as $key) {
            if ($key !== 'curve_own' && $key !== 'negatives') {
                self::assertEquals($standard->value($key), $standard->with([$key => $standard->spelt($key)])->value($key), $key);
            }
        }
        self::assertSame([], $standard->changes());
    }

    public function test_a_changed_setting_is_told_apart_from_a_default(): void
    {
        $rulebook = Rulebook::fromTexts(['target' => '2', 'within' => '100', 'conversion_rate' => '3 %', 'negatives' => 'Free, wasp nest']);
        self::assertSame(['conversion_rate' => '0.03', 'negatives' => 'free,wasp nest', 'target' => '2'], $rulebook->changes());
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function refused(): iterable
    {
        yield 'an unknown key' => ['luck', '1', 'is unknown'];
        yield 'a place that is none' => ['within', '33', 'one of 10, 20, 50, 100'];
        yield 'no whole number' => ['target', '2.5', 'a whole number from 1 to 100'];
        yield 'out of range' => ['target', '101', 'a whole number from 1 to 100'];
        yield 'a rate over 100 %' => ['conversion_rate', '120%', 'a number from 0 to 1'];
        yield 'bands out of order' => ['volume_bands', '10,50,20,100,200', 'five numbers'];
        yield 'too few bands' => ['ease_bands', '10,20', 'five numbers'];
        yield 'an exponent' => ['curve_prior', '1e3', 'a number from'];
        yield 'weights all zero' => ['weights', 'volume:0', 'all zero'];
        yield 'a curve that rises' => ['curve_own', '.1,'.implode(',', array_fill(0, 99, '0.2')), 'is not allowed'];
        yield 'a curve that rises, well written' => ['curve_own', '0.1,'.implode(',', array_fill(0, 99, '0.2')), 'never rises'];
        yield 'a curve of one\'s own that is not there' => ['curve', 'own', 'needs 100 numbers'];
        yield 'striking distance turned round' => ['striking_from', '30', 'must not be worse'];
        yield 'a source twice' => ['metric_sources', 'keywords,keywords', 'at most once'];
    }

    #[DataProvider('refused')]
    public function test_a_wrong_value_is_refused_with_the_allowed_range(string $key, string $value, string $reason): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($reason);
        Rulebook::fromTexts([$key => $value]);
    }

    public function test_a_curve_of_ones_own_can_be_set_and_used_together(): void
    {
        $rates = implode(',', array_map(static fn(float $rate): string => sprintf('%.12F', $rate), CtrCurve::queryLog2006()->rates()));
        $rulebook = Rulebook::fromTexts(['curve_own' => $rates, 'curve' => 'own']);
        self::assertCount(100, $rulebook->numbers('curve_own'));
    }

    public function test_asking_for_what_is_not_there_is_a_misuse(): void
    {
        $this->expectException(Misuse::class);
        Rulebook::standard()->int('luck');
    }
}
