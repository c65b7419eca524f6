<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Terms\HtmlHeadings;
use PHPUnit\Framework\TestCase;

final class HtmlHeadingsTest extends TestCase
{
    public function test_headings_are_told_in_order_without_what_is_inside_them(): void
    {
        self::assertSame(
            ['Bee hive', 'Size & weight', 'Café'],
            HtmlHeadings::of(
                "<html><body><nav><h4>Menu</h4></nav><h1>Bee\n <em>hive</em></h1><p>x</p><h2>Size &amp; weight</h2><h3> </h3><h3>Café</h3>",
            ),
        );
    }

    public function test_broken_and_empty_pages_have_what_can_be_read(): void
    {
        self::assertSame([], HtmlHeadings::of('  '));
        self::assertSame(['Open'], HtmlHeadings::of('<h1>Open'));
    }

    public function test_a_page_too_large_is_refused(): void
    {
        $this->expectException(InvalidValue::class);
        HtmlHeadings::of(str_repeat('x', 5_000_001));
    }
}
