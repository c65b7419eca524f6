<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Meaning\PageMeaning;
use PHPUnit\Framework\TestCase;

final class PageMeaningTest extends TestCase
{
    public function test_words_stand_in_the_path_or_the_title(): void
    {
        self::assertTrue(PageMeaning::isMeantFor('bee hives', 'https://a.example/shop/bee-hive'));
        self::assertTrue(PageMeaning::isMeantFor('boxes for bees', 'https://a.example/box', 'For the bee'));
        self::assertFalse(PageMeaning::isMeantFor('cedar bee hive', 'https://a.example/shop/bee-hive'));
        self::assertTrue(PageMeaning::isMeantFor('café stühle', 'https://a.example/caf%C3%A9/st%C3%BChle'));
        self::assertFalse(PageMeaning::isMeantFor('an', 'https://a.example/an'), 'A keyword of short words alone says nothing.');
    }

    public function test_words_of_three_letters_count_and_shorter_ones_do_not(): void
    {
        self::assertFalse(PageMeaning::isMeantFor('bee hat', 'https://a.example/bee'));
        self::assertTrue(PageMeaning::isMeantFor('bee hat', 'https://a.example/hat-for-a-bee'));
        self::assertTrue(PageMeaning::isMeantFor('a hat', 'https://a.example/hat'));
        self::assertFalse(PageMeaning::isMeantFor('a b', 'https://a.example/a-b'));
    }
}
