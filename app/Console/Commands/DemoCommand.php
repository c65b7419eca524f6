<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Demo\InvitePeople;
use App\Actions\Demo\LoadDemo;
use App\Jobs\PrepareBriefs;
use App\Models\Study;

final class DemoCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:demo {--source=stand-in : The source it is pulled from}
        {--sign-in= : File that keeps who signs in with which password, readable by its owner alone; printed when left out}';

    protected $description = 'Load the demo study, once';

    protected $help = 'Example: php artisan reach:demo';

    public function handle(LoadDemo $demo, InvitePeople $people): int
    {
        if (Study::onlyTrashed()->where('slug', LoadDemo::SLUG)->exists()) {
            $this->line('The demo study was deleted. You can restore it from the list of studies.');

            return self::SUCCESS;
        }
        if ($demo->isWhole()) {
            $this->meet($people->execute(Study::query()->where('slug', LoadDemo::SLUG)->firstOrFail()));
            $this->line('The demo study already exists.');

            return self::SUCCESS;
        }
        $this->line('Loading the demo study from its source. This takes about a minute.');
        PrepareBriefs::dispatch($demo->execute($this->text('source'), $this->stages(), $this->meet(...))->id);
        $this->line('The demo study is ready.');

        return self::SUCCESS;
    }

    /** @param array<string, string> $people address → password */
    private function meet(array $people): void
    {
        $lines = array_map(
            static fn(string $email, string $password): string => "Sign in as {$email} with the password {$password}",
            array_keys($people),
            $people,
        );
        if ($lines === []) {
            return;
        }
        $file = $this->text('sign-in');
        if ($file === '') {
            array_map($this->line(...), $lines);

            return;
        }
        touch($file);
        chmod($file, 0o600);
        file_put_contents($file, implode("\n", $lines)."\n", FILE_APPEND);
    }
}
