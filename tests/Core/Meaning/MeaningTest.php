<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Meaning\IntentRules;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeaningTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function branded(): iterable
    {
        yield 'as one word' => ['inkmoor pens', 0b010];
        yield 'with a space' => ['ink moor pens', 0b010];
        yield 'with a hyphen' => ['ink-moor pens', 0b010];
        yield 'with an apostrophe s' => ["inkmoor's pens", 0b010];
        yield 'with a curly apostrophe s' => ['inkmoor’s pens', 0b010];
        yield 'not inside a longer word' => ['inkmoors pens', 0];
        yield 'not torn apart by another word' => ['ink blue moor', 0];
        yield 'ours and theirs' => ['quillfair or ink moor', 0b011];
        yield 'a term of one\'s own' => ['the blue nib', 0b100];
        yield 'none' => ['fountain pens', 0];
    }

    #[DataProvider('branded')]
    public function test_a_run_of_whole_words_names_a_brand(string $keyword, int $mask): void
    {
        $matcher = BrandMatcher::of([['quillfair'], ['ink moor'], ['nib house', 'Blue Nib']]);
        self::assertSame($mask, $matcher->domainsIn($keyword));
    }

    public function test_a_name_may_be_that_of_two_domains(): void
    {
        self::assertSame(0b110, BrandMatcher::of([[], ['Nib House'], ['nib house', 'nibs']])->domainsIn('nib house ink'));
    }

    public function test_only_a_competitors_brand_without_ours_is_foreign(): void
    {
        self::assertSame([false, false, true, false, true], array_map(BrandMatcher::isForeign(...), [0b00, 0b01, 0b10, 0b11, 0b110]));
    }

    /** @return iterable<string, array{string, Intent}> */
    public static function intents(): iterable
    {
        yield 'buy' => ['buy bee hive', Intent::Buy];
        yield 'a plural' => ['bee hive prices', Intent::Buy];
        yield 'a phrase' => ['bees for sale', Intent::Buy];
        yield 'a phrase torn apart' => ['for bee sale', Intent::Open];
        yield 'compare' => ['best bee hive', Intent::Compare];
        yield 'the first list wins' => ['best price bee hive', Intent::Buy];
        yield 'learn' => ['how to build a hive', Intent::Learn];
        yield 'a plural inside a phrase' => ['ways to feed bees', Intent::Learn];
        yield 'only whole words' => ['bookshop hive', Intent::Open];
        yield 'open' => ['national hive', Intent::Open];
    }

    #[DataProvider('intents')]
    public function test_words_propose_an_intent(string $keyword, Intent $intent): void
    {
        $rulebook = Rulebook::standard();
        self::assertSame(
            $intent,
            IntentRules::of($rulebook->words('intent_buy'), $rulebook->words('intent_compare'), $rulebook->words('intent_learn'))->intentOf(
                $keyword,
            ),
        );
    }

    public function test_intent_names_the_funnel_stage(): void
    {
        self::assertSame(
            ['bottom', 'middle', 'top', null],
            array_map(static fn(Intent $intent): ?string => $intent->stage(), Intent::cases()),
        );
    }
}
