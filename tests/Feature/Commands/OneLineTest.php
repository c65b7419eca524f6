<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Whatever goes wrong in a command, one line says so. */
final class OneLineTest extends TestCase
{
    public function test_a_failing_database_is_one_line_and_a_number_in_the_log(): void
    {
        $process = new Process(
            ['php', 'artisan', 'reach:compare', 'bees'],
            base_path(),
            ['APP_ENV' => 'testing', 'DB_PORT' => '1', 'LOG_CHANNEL' => 'kept'],
            null,
            60,
        );
        self::assertSame(1, $process->run());
        self::assertSame('', $process->getOutput());
        self::assertMatchesRegularExpression(
            '/^Something went wrong, and nothing was saved\. See error ([0-9A-F]{8}) in storage\/logs\.\n$/D',
            $process->getErrorOutput(),
        );
        preg_match('/[0-9A-F]{8}/', $process->getErrorOutput(), $number);
        self::assertStringContainsString(
            $number[0] ?? '',
            (string) file_get_contents(storage_path('logs/greater-reach-'.gmdate('Y-m-d').'.log')),
        );
    }

    public function test_wrong_usage_stays_what_it_was(): void
    {
        $process = new Process(['php', 'artisan', 'reach:compare', 'bees', '--nonsense'], base_path(), ['APP_ENV' => 'testing'], null, 60);
        self::assertSame(2, $process->run());
        self::assertSame(1, substr_count($process->getErrorOutput(), "\n"));
    }
}
