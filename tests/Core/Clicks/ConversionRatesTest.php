<?php

declare(strict_types=1);

namespace Tests\Core\Clicks;

use GreaterReach\Core\Clicks\ConversionRates;
use GreaterReach\Core\Clicks\MeasuredConversions;
use GreaterReach\Core\Exception\InvalidArgument;
use PHPUnit\Framework\TestCase;

/** Measured rates stand before assumed ones as soon as enough was measured. */
final class ConversionRatesTest extends TestCase
{
    public function test_a_page_goes_by_its_own_rate_from_thirty_conversions_on(): void
    {
        $rates = new ConversionRates([
            '/a' => new MeasuredConversions(600, 30, 1500.0),
            '/b' => new MeasuredConversions(580, 29, 1500.0),
        ], new MeasuredConversions(1000, 100, 2000.0));
        $page = $rates->at('/a', .5, .02, 9.0);
        self::assertSame([.05, 50.0, true], [$page->rate, $page->value, $page->isMeasured()]);
        self::assertSame('measured on this page: 30 conversions', $page->rateSource);
        $few = $rates->at('/b', null, .02, null);
        self::assertSame([.1, 20.0, 'measured on our site: 100 conversions'], [$few->rate, $few->value, $few->valueSource]);
    }

    public function test_what_a_person_says_of_an_intent_or_a_conversion_stands_before_the_site(): void
    {
        $rates = new ConversionRates([], new MeasuredConversions(1000, 100, 2000.0));
        $said = $rates->at(null, .07, .02, 9.0);
        self::assertSame([.07, 9.0, 'rulebook', 'rulebook'], [$said->rate, $said->value, $said->rateSource, $said->valueSource]);
    }

    public function test_without_enough_the_rulebook_goes(): void
    {
        $few = new ConversionRates([], new MeasuredConversions(1000, 29, 2000.0));
        $assumed = $few->at('/a', null, .02, null);
        self::assertSame([.02, null, false], [$assumed->rate, $assumed->value, $assumed->isMeasured()]);
        self::assertFalse((new MeasuredConversions(0, 40))->isEnough());
    }

    public function test_a_rate_is_no_more_than_one_and_an_unknown_revenue_no_value(): void
    {
        $twice = (new ConversionRates([], new MeasuredConversions(40, 60)))->at(null, null, .02, null);
        self::assertSame([1.0, null], [$twice->rate, $twice->value]);
        $this->expectException(InvalidArgument::class);
        new MeasuredConversions(-1, 0);
    }
}
