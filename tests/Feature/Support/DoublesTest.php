<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Doubles;
use PHPUnit\Framework\TestCase;

final class DoublesTest extends TestCase
{
    public function test_what_is_written_reads_back_the_same(): void
    {
        // 0.1 + 0.2 needs 17 digits; the others are the borders of IEEE 754 binary64.
        $values = [.1 + .2, -0.0, null, \PHP_FLOAT_MAX, \PHP_FLOAT_MIN, 4.9e-324, INF, 12.0];
        self::assertSame(var_export($values, true), var_export(Doubles::fromHex(Doubles::toHex($values)), true));
    }

    /** IEEE 754 binary64 of 1.0 is 3FF0 0000 0000 0000, here with the last byte first. */
    public function test_it_is_the_format_of_the_standard(): void
    {
        self::assertSame('000000000000f03f', Doubles::toHex([1.0]));
    }

    public function test_what_is_no_list_of_floats_is_refused(): void
    {
        $this->expectException(\UnexpectedValueException::class);
        Doubles::fromHex('');
    }
}
