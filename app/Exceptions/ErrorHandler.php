<?php

declare(strict_types=1);

namespace App\Exceptions;

use GreaterReach\Core\Exception\ReachException;
use Illuminate\Foundation\Exceptions\Handler;
use Symfony\Component\Console\Exception\ExceptionInterface as UsageException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Logs an unexpected failure under a number and shows the person one line with that number. */
final class ErrorHandler extends Handler
{
    /** What is refused is told to whom it concerns and is no failure of the application. */
    protected $dontReport = [ReachException::class, QueryTimedOut::class];

    /**
     * @internal called by the framework
     *
     * @param OutputInterface $output
     */
    public function renderForConsole($output, \Throwable $e): void
    {
        if ($e instanceof UsageException) {
            parent::renderForConsole($output, $e);

            return;
        }
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $errors->writeln(self::line($e), OutputInterface::OUTPUT_RAW);
    }

    /** One line for a person, whatever it was. */
    public static function line(\Throwable $error): string
    {
        return $error instanceof ReachException
            ? str_replace("\n", ' ', $error->getMessage())
            : sprintf(
                'Something went wrong, and nothing was saved. See error %s in storage/logs.',
                ErrorNumber::of($error),
            );
    }

    /** @return array<string, mixed> */
    protected function exceptionContext(\Throwable $e): array
    {
        /** @var array<string, mixed> $told */
        $told = parent::exceptionContext($e);

        return ['number' => ErrorNumber::of($e), ...$told];
    }
}
