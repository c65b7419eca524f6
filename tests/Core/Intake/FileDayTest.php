<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Intake\FileDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FileDayTest extends TestCase
{
    /** @return iterable<string, array{string, ?string, bool}> */
    public static function names(): iterable
    {
        yield 'a day' => ['ours-2026-10-14.csv', '2026-10-14', false];
        yield 'a day without signs' => ['export_20261014_final.xlsx', '2026-10-14', false];
        yield 'a month' => ['ours-2026-10.csv', '2026-10-01', true];
        yield 'a month with an underline' => ['thornfield_2026_02 (1).csv', '2026-02-01', true];
        yield 'a month without signs' => ['rankings202611.csv', '2026-11-01', true];
        yield 'a month in words' => ['Rankings October 2026.xlsx', '2026-10-01', true];
        yield 'a short month after its year' => ['2026-sept-hives.csv', '2026-09-01', true];
        yield 'no month' => ['hives-2026-13.csv', null, false];
        yield 'no day of that month' => ['hives-2026-02-30.csv', '2026-02-01', true];
        yield 'a model number' => ['part-340-020.csv', null, false];
        yield 'a word that begins like a month' => ['marmalade 2026.csv', null, false];
        yield 'a number that is too long' => ['id-120261014.csv', null, false];
        yield 'no year of ours' => ['items-0012-05.csv', null, false];
        yield 'nothing' => ['rankings.csv', null, false];
    }

    #[DataProvider('names')]
    public function test_a_name_tells_its_day_or_month(string $name, ?string $day, bool $isMonth): void
    {
        $found = FileDay::in($name);
        self::assertSame([$day, $isMonth], [$found?->day, $found !== null && $found->isMonth]);
    }

    public function test_the_files_of_each_month_are_named_alike_but_for_their_day(): void
    {
        $without = FileDay::nameWithout(...);
        self::assertSame($without('ours-2026-10.csv'), $without('ours-2026-11.csv'));
        self::assertSame($without('ours-2026-10-01.csv'), $without('Ours_2026_11.csv'));
        self::assertSame($without('Rankings October 2026.xlsx'), $without('rankings-nov-2026.xlsx'));
        self::assertNotSame($without('ours-2026-10.csv'), $without('theirs-2026-10.csv'));
        self::assertNotSame($without('ours-2026-10.csv'), $without('ours-2026-10.xlsx'));
    }

    public function test_what_is_taken_for_the_day_is_told_as_the_name_has_it(): void
    {
        self::assertSame('oct-2026', FileDay::in('ours oct-2026.csv')?->written);
        self::assertSame('2026 march', FileDay::in('2026 March ours.csv')?->written);
        self::assertSame('2026-10-05', FileDay::in('ours 2026-10-05.csv')?->written);
    }
}
