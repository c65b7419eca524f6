<?php

declare(strict_types=1);

namespace Tests\Mutants;

/** A copy of the checkout with a database of its own, in which tests run while nothing else does. */
final class Copy
{
    /** @var ?resource */
    private $running = null;

    private ?Mutant $mutant = null;

    public function __construct(public readonly string $folder)
    {
    }

    /**
     * Starts tests, for `ended` to tell how they went.
     *
     * @param list<string> $arguments of PHP and PHPUnit
     */
    public function start(array $arguments, int $seconds, ?Mutant $mutant = null): void
    {
        $this->mutant = $mutant;
        if ($mutant !== null) {
            file_put_contents("{$this->folder}/{$mutant->file}", $mutant->source());
        }
        $log = ['file', "{$this->folder}/tests.log", 'w'];
        $command = ['timeout', '--kill-after=5', (string) $seconds, PHP_BINARY, '-d', 'memory_limit=2G', ...$arguments];
        $process = proc_open($command, [['file', '/dev/null', 'r'], $log, $log], $pipes, $this->folder);
        $this->running = $process === false ? throw new \RuntimeException('No test could be started.') : $process;
    }

    public function isFree(): bool
    {
        return $this->running === null;
    }

    /** @return ?array{?Mutant, int} the change that was made and how its tests ended; null while they run */
    public function ended(): ?array
    {
        $status = $this->running === null ? null : proc_get_status($this->running);
        if ($status === null || $status['running']) {
            return null;
        }
        $mutant = $this->mutant;
        if ($mutant !== null) {
            file_put_contents("{$this->folder}/{$mutant->file}", $mutant->original);
        }
        $this->running = $this->mutant = null;

        return [$mutant, $status['exitcode']];
    }

    public function log(): string
    {
        return (string) file_get_contents("{$this->folder}/tests.log");
    }
}
