<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Demo\LoadDemo;
use App\Models\Study;

final class DemoCommand extends ReachCommand
{
    protected $signature = 'reach:demo {--folder= : Where the files of the demo are written; var/demo when left out}';

    protected $description = 'Load the demo study, once';

    protected $help = 'Example: php artisan reach:demo';

    public function handle(LoadDemo $demo): int
    {
        if (Study::query()->where('slug', LoadDemo::SLUG)->whereNotNull('comparison_id')->exists()) {
            $this->line('The demo study is there already.');

            return self::SUCCESS;
        }
        $demo->execute(
            $this->optionalText('folder') ?? base_path('var/demo'),
            now('UTC')->toDateTimeImmutable(),
            fn(string $what) => $this->output->isDecorated() ? $this->output->write("\r\033[K".$what) : null,
        );
        $this->output->isDecorated() ? $this->output->write("\r\033[K") : null;
        $this->line('The demo study is ready.');

        return self::SUCCESS;
    }
}
