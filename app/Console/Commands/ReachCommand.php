<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Audit\AuditEntry;
use App\Actions\Audit\PreviousValues;
use App\Actions\Audit\RecordAudit;
use App\Actions\Imports\DomainFinder;
use App\Exceptions\ErrorHandler;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Support\Tabular\Table;
use App\Support\Tabular\TableFormat;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Exception\ReachException;
use GreaterReach\Core\Intake\RowParser;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Console\Command;
use Illuminate\Console\OutputStyle;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Console\Exception\ExceptionInterface as UsageException;
use Symfony\Component\Console\Exception\InvalidOptionException;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** What all commands share: one line on standard error and the right exit code, where results go, progress. */
abstract class ReachCommand extends Command
{
    public const REFUSED = 1;
    public const WRONG_USAGE = 2;

    public function run(InputInterface $input, OutputInterface $output): int
    {
        try {
            return parent::run($input, $output);
        } catch (UsageException $problem) {
            self::tell($output, strtok($problem->getMessage(), "\n").' Try --help.');

            return self::WRONG_USAGE;
        }
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $code = parent::execute($input, $output);
            if ($code === self::SUCCESS && $this instanceof RecordsAudit) {
                $this->record();
            }

            return $code;
        } catch (ReachException $problem) {
            self::tell($output, ErrorHandler::line($problem));

            return self::REFUSED;
        }
    }

    /** Who acts by a command is known by the account on the machine alone. */
    private function record(): void
    {
        $given = static fn(mixed $value): bool => $value !== null && $value !== [] && $value !== false;
        $asked = array_filter([...$this->arguments(), ...$this->options()], $given);
        $slug = $asked['slug'] ?? null;
        app(RecordAudit::class)->execute(new AuditEntry(
            (string) $this->getName(),
            0,
            'command',
            person: get_current_user(),
            study: \is_string($slug) ? $slug : null,
            detail: ['asked' => (object) array_diff_key($asked, array_flip(['command', 'slug'])), ...app(PreviousValues::class)->take()],
        ));
    }

    protected function study(): Study
    {
        $slug = $this->text('slug', true);

        return Study::query()->where('slug', $slug)->with('domains')->first()
            ?? throw UserError::because(
                'study',
                sprintf('No study is called "%s". Create it with reach:study.', InvalidValue::quote($slug)),
            );
    }

    protected function domain(Study $study, string $text): \App\Models\Domain
    {
        return (new DomainFinder($study, app(PublicSuffixList::class)))->get($text);
    }

    /** The text of an argument or option, empty when not given. */
    protected function text(string $name, bool $isArgument = false): string
    {
        $value = $isArgument ? $this->argument($name) : $this->option($name);

        return is_string($value) ? $value : '';
    }

    protected function optionalText(string $name): ?string
    {
        $value = $this->option($name);

        return is_string($value) ? $value : null;
    }

    /** @return list<string> */
    protected function texts(string $name): array
    {
        $value = $this->option($name);

        return is_array($value) ? array_values(array_filter($value, is_string(...))) : [];
    }

    /** @param non-empty-list<string> $choices */
    protected function oneOf(string $name, array $choices): string
    {
        $value = $this->text($name);
        if (!in_array($value, $choices, true)) {
            throw new InvalidOptionException(
                sprintf('--%s can be %s, not "%s".', $name, implode(', ', $choices), InvalidValue::quote($value)),
            );
        }

        return $value;
    }

    protected function wholeNumber(string $name, int $min, int $max): int
    {
        $value = $this->text($name);
        if (preg_match('/^\d{1,9}$/D', $value) !== 1 || (int) $value < $min || (int) $value > $max) {
            throw new InvalidOptionException(
                sprintf(
                    '--%s takes a whole number from %d to %d, not "%s".',
                    $name,
                    $min,
                    $max,
                    InvalidValue::quote($value),
                ),
            );
        }

        return (int) $value;
    }

    protected function optionalDay(string $name): ?string
    {
        $value = $this->optionalText($name);

        return $value === null ? null : RowParser::day($value);
    }

    protected function format(): TableFormat
    {
        return TableFormat::from($this->oneOf('format', ['csv', 'json']));
    }

    /** Writes to standard output, or to a file that appears only when it is complete. */
    protected function export(Table $table): int
    {
        $pieces = $this->format()->write($table);
        DB::transaction(function () use ($pieces): void {
            $out = $this->text('out');
            $out === '-' ? $this->print($pieces) : self::save($out, $pieces);
        });

        return self::SUCCESS;
    }

    /** @return ?\Closure(int): void null unless a person watches */
    protected function progress(): ?\Closure
    {
        if (! defined('STDERR') || ! stream_isatty(STDERR)) {
            return null;
        }
        $bar = new ProgressBar($this->output->getErrorStyle());
        $bar->setFormat(' %current% rows  %elapsed:6s%');

        return static fn(int $done) => $bar->setProgress($done);
    }

    /** @return \Closure(string, int, int): void what is being done, parts done, parts in all; silent unless a person watches */
    protected function stages(): \Closure
    {
        if (! defined('STDERR') || ! stream_isatty(STDERR)) {
            return static fn(string $stage, int $done, int $total) => null;
        }
        $bar = new ProgressBar($this->output->getErrorStyle());
        $bar->setFormat(' %current%/%max%  %elapsed:6s%  %message%');

        return static function (string $stage, int $done, int $total) use ($bar): void {
            $bar->setMaxSteps($total);
            $bar->setMessage($stage);
            $bar->setProgress($done);
        };
    }

    /** One line on standard error. */
    private static function tell(OutputInterface $output, string $line): void
    {
        $console = $output instanceof OutputStyle ? $output->getOutput() : $output;
        $errors = $console instanceof ConsoleOutputInterface ? $console->getErrorOutput() : $console;
        $errors->writeln($line, OutputInterface::OUTPUT_RAW);
    }

    /** @param iterable<string> $pieces */
    private function print(iterable $pieces): void
    {
        foreach ($pieces as $piece) {
            $this->output->write($piece, false, OutputInterface::OUTPUT_RAW);
        }
    }

    /**
     * A file appears only when it is complete; what is no file, such as a pipe or a device, is written to as it is.
     *
     * @param iterable<string> $pieces
     */
    private static function save(string $path, iterable $pieces): void
    {
        $isFile = !file_exists($path) || is_file($path);
        $unfinished = $isFile ? $path.'.part' : $path;
        $file =
            @fopen($unfinished, 'wb') ?:
            throw UserError::because('out', sprintf('Can\'t write "%s". Does its folder exist?', InvalidValue::quote($path)));
        foreach ($pieces as $piece) {
            if (fwrite($file, $piece) === false) {
                throw UserError::because('out', sprintf('Can’t finish writing "%s".', InvalidValue::quote($path)));
            }
        }
        fclose($file);
        if ($isFile) {
            rename($unfinished, is_link($path) ? (string) realpath($path) : $path);
        }
    }
}
