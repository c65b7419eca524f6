<?php

declare(strict_types=1);

namespace Tests\Core\Intake;

use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\ImportKind;
use PHPUnit\Framework\TestCase;

final class NearlyTest extends TestCase
{
    public function test_a_header_that_is_nearly_a_field_is_told_and_none_that_is_used(): void
    {
        $headers = ['keyword', 'position', 'url', 'authority of the site', 'Page titel', 'crawl date', 'colour'];
        $mapping = ColumnPlan::match(ImportKind::Results, $headers)->mapping();
        self::assertSame(['keyword', 'position', 'url'], array_keys($mapping));
        $nearly = ColumnPlan::nearly(ImportKind::Results, $headers, $mapping);
        ksort($nearly);
        self::assertSame(['Page titel' => 'title', 'authority of the site' => 'authority', 'crawl date' => 'date'], $nearly);
        self::assertSame([], ColumnPlan::nearly(ImportKind::Rankings, ['keyword', 'position', 'colour'], [
            'keyword' => 'keyword', 'position' => 'position',
        ]));
    }

    public function test_a_name_misspelt_by_a_letter_or_two_is_nearly_it_and_a_short_one_is_not(): void
    {
        $nearly = ColumnPlan::nearly(ImportKind::Rankings, ['keyword', 'postion'], ['keyword' => 'keyword']);
        self::assertSame(['postion' => 'position'], $nearly);
        self::assertSame(['volme' => 'volume'], ColumnPlan::nearly(ImportKind::Rankings, ['keyword', 'volme'], ['keyword' => 'keyword']));
        $near = static fn(string $header): array
            => ColumnPlan::nearly(ImportKind::Rankings, ['keyword', $header], ['keyword' => 'keyword']);
        self::assertSame([['psition' => 'position'], ['psiton' => 'position'], []], [$near('psition'), $near('psiton'), $near('psitn')]);
        self::assertSame([], ColumnPlan::nearly(ImportKind::Rankings, ['keyword', 'pots'], ['keyword' => 'keyword']));
        $nearly = ColumnPlan::nearly(ImportKind::Rankings, ['kw', 'my position', 'old position'], []);
        self::assertSame(['my position' => 'position'], $nearly, 'Each field once.');
    }
}
