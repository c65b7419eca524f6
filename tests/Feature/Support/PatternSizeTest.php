<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Sentence\PatternSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PatternSizeTest extends TestCase
{
    /** @return iterable<array{string, int}> */
    public static function sizes(): iterable
    {
        yield ['', 0];
        yield ['^how', 4];
        yield ['^how (do|to)', 10];
        yield ['(ab{2,9}){3}', 30];
        yield ['[a-z]{5}', 5];
        yield ['[]{}()]{2}', 2];
        yield ['\\d{3,}', 4];
        yield ['a{2}{3}', 6];
        yield ['x+(y*z?)+', 7];
        yield ['(\\w{1,80}\\s?){1,80}!', 6561];
        yield ['((((a{99}){99}){99}){99}){99}', 99 ** 5];
        yield ['(unclosed{4}', 11];
    }

    #[DataProvider('sizes')]
    public function test_repetitions_count_as_they_would_be_written_out(string $pattern, int $size): void
    {
        self::assertSame($size, PatternSize::of($pattern));
    }
}
