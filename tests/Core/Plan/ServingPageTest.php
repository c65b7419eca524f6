<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Plan\ServingPage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** By a curve on which the second place earns half of the first and the third a fifth; the others earn nothing. */
final class ServingPageTest extends TestCase
{
    /**
     * @param list<array{array<string, int>, ?float}> $keywords
     */
    #[DataProvider('topics')]
    public function test_which_page_serves(array $keywords, ?string $serving): void
    {
        self::assertSame($serving, (new ServingPage(CtrCurve::ofRates(array_pad([0.3, 0.15, 0.06], 100, 0.0))))->of($keywords));
    }

    /** @return iterable<string, array{list<array{array<string, int>, ?float}>, ?string}> */
    public static function topics(): iterable
    {
        yield 'none of ours ranks' => [[[[], 100.0], [[], null]], null];
        yield 'the visits of all keywords together: 60 against 50' => [[[['/a' => 2, '/b' => 3], 100.0], [['/b' => 1], 40.0]], '/b'];
        yield 'more of the first turns it: 100 against 80' => [[[['/a' => 2, '/b' => 3], 200.0], [['/b' => 1], 40.0]], '/a'];
        yield 'near is 50' => [[[['/a' => 50], 100.0]], '/a'];
        yield 'and not 51' => [[[['/a' => 51], 100.0]], null];
        yield 'near for any keyword is near enough' => [[[['/a' => 51], 100.0], [['/a' => 50], null]], '/a'];
        yield 'far down it brings visits all the same' => [[[['/a' => 3, '/b' => 2], 10.0], [['/a' => 1, '/b' => 90], 5.0]], '/a'];
        yield 'alike, the better position' => [[[['/a' => 9, '/b' => 8], 100.0]], '/b'];
        yield 'alike in that, too, the smaller key' => [[[['/b' => 8], 10.0], [['/a' => 8], 10.0]], '/a'];
        yield 'in bytes' => [[[['/b' => 8], 10.0], [['/B' => 8], 10.0]], '/B'];
        yield 'a potential that is unknown brings none' => [[[['/a' => 1], null], [['/b' => 2], 0.1]], '/b'];
        yield 'what differs in the tenth decimal is alike' => [[[['/a' => 1], 1.000_000_000_4], [['/b' => 1], 1.000_000_000_01]], '/a'];
        yield 'in the eighth it is not' => [[[['/a' => 1], 1.0], [['/b' => 1], 1.000_000_01]], '/b'];
        yield 'where nothing is earned the position decides' => [[[['/a' => 100, '/b' => 4], 1e9], [['/a' => 4], null]], '/a'];
    }
}
