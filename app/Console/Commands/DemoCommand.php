<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Demo\LoadDemo;
use App\Models\Study;

final class DemoCommand extends ReachCommand
{
    protected $signature = 'reach:demo {--source=stand-in : The source it is pulled from}';

    protected $description = 'Load the demo study, once';

    protected $help = 'Example: php artisan reach:demo';

    public function handle(LoadDemo $demo): int
    {
        if (Study::query()->where('slug', LoadDemo::SLUG)->whereNotNull('comparison_id')->exists()) {
            $this->line('The demo study is there already.');

            return self::SUCCESS;
        }
        $demo->execute($this->text('source'), $this->stages());
        $this->line('The demo study is ready.');

        return self::SUCCESS;
    }
}
