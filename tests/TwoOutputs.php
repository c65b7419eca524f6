<?php

declare(strict_types=1);

namespace Tests;

use Symfony\Component\Console\Output\BufferedOutput;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\ConsoleSectionOutput;
use Symfony\Component\Console\Output\OutputInterface;

/** Standard output and standard error of a command, kept apart as a shell keeps them. */
final class TwoOutputs extends BufferedOutput implements ConsoleOutputInterface
{
    private OutputInterface $errors;

    public function __construct(public readonly BufferedOutput $told = new BufferedOutput())
    {
        parent::__construct();
        $this->errors = $told;
    }

    public function getErrorOutput(): OutputInterface
    {
        return $this->errors;
    }

    public function setErrorOutput(OutputInterface $error): void
    {
        $this->errors = $error;
    }

    public function section(): ConsoleSectionOutput
    {
        throw new \LogicException('No command draws sections.');
    }
}
