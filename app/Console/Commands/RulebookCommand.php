<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Studies\ChangeRulebook;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Rulebook\Settings;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Output\OutputInterface;

final class RulebookCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:rulebook {slug : Short name of the study}
        {--set=* : key=value, repeat for more; all or none are changed}
        {--json : Print every setting with its bounds and meaning as JSON}';

    protected $description = 'Read or change the rulebook of a study';

    protected $help = 'Example: php artisan reach:rulebook bees --set=target=2 --set=weights=volume:1,ease:2,gain:1';

    public function handle(ChangeRulebook $change): int
    {
        $settings = $this->settings();
        $study = $this->study();
        $rulebook = $settings === [] ? $study->rulebook() : $change->execute($study, $settings);
        if ($this->option('json')) {
            $flags = JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;
            $this->output->writeln(
                json_encode(array_column($change->describe($rulebook), null, 'key'), $flags),
                OutputInterface::OUTPUT_RAW,
            );

            return self::SUCCESS;
        }
        foreach (array_keys(Settings::all()) as $key) {
            $this->output->writeln($key.'='.$rulebook->spelt($key), OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }

    /** @return array<string, string> */
    private function settings(): array
    {
        $settings = [];
        foreach ($this->texts('set') as $pair) {
            $parts = explode('=', $pair, 2);
            if (! isset($parts[1])) {
                throw new InvalidOptionException(sprintf('Write --set as key=value, not "%s".', InvalidValue::quote($pair)));
            }
            $settings[trim($parts[0])] = $parts[1];
        }

        return $settings;
    }
}
