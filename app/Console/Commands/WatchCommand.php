<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Requests\EndLeftQuestions;
use App\Support\OpenConnections;

final class WatchCommand extends ReachCommand
{
    private const PAUSE = 500_000;

    protected $signature = 'reach:watch {--seconds=3600 : How long to watch before a fresh process takes over}';

    protected $description = 'Stop the database thinking about questions whose asker has gone; bin/start runs it';

    protected $help = 'Example: php artisan reach:watch --seconds=60';

    public function handle(EndLeftQuestions $end): int
    {
        $until = microtime(true) + $this->wholeNumber('seconds', 1, 86_400);
        $served = (int) parse_url(config()->string('app.url'), PHP_URL_PORT);
        while (microtime(true) < $until) {
            $end->execute(OpenConnections::to($served));
            usleep(self::PAUSE);
        }

        return self::SUCCESS;
    }
}
