<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Requests\CancelAbandonedQueries;
use App\Actions\Tasks\RequeueTasks;
use App\Actions\Tasks\StartDuePulls;
use App\Actions\Tidy\ResetClock;
use App\Support\TcpConnections;

final class WatchCommand extends ReachCommand
{
    private const PAUSE = 500_000;

    protected $signature = 'reach:watch {--seconds=3600 : Seconds before a fresh process takes over}';

    protected $description = 'Cancel abandoned queries, start monthly pulls and delete leftovers; bin/start runs it';

    protected $help = 'Example: php artisan reach:watch --seconds=60';

    /** Seconds between two looks at work that was left lying. */
    private const LOOK = 15;

    public function handle(CancelAbandonedQueries $end, RequeueTasks $revive, ResetClock $clock, StartDuePulls $pulls): int
    {
        $this->callSilently('reach:tidy');
        $until = self::seconds() + $this->wholeNumber('seconds', 1, 86_400);
        $served = (int) parse_url(config()->string('app.url'), PHP_URL_PORT);
        $look = 0.0;
        while (self::seconds() < $until) {
            if (self::seconds() >= $look) {
                $clock->execute();
                $revive->execute();
                $pulls->execute();
                $look = self::seconds() + self::LOOK;
            }
            $end->execute(TcpConnections::to($served));
            usleep(self::PAUSE);
        }

        return self::SUCCESS;
    }

    /** Since some moment, whatever becomes of the time of day. */
    private static function seconds(): float
    {
        return hrtime(true) / 1e9;
    }
}
