<?php

declare(strict_types=1);

namespace Benchmark;

use Symfony\Component\Process\Process;

/** The median of several runs of one thing, with the slow end and the peak memory where they are known. */
final readonly class Measured
{
    private function __construct(public float $seconds, public float $slow, public int $megabytes)
    {
    }

    /**
     * Runs a process several times after one run that does not count.
     *
     * @param \Closure(): Process $make
     */
    public static function process(int $runs, \Closure $make): self
    {
        $times = [];
        for ($run = -1; $run < $runs; ++$run) {
            $process = $make();
            $start = hrtime(true);
            $process->mustRun();
            if ($run >= 0) {
                $times[] = (hrtime(true) - $start) / 1e9;
            }
        }

        return self::of($times, intdiv((int) getrusage(1)['ru_maxrss'], 1024));
    }

    /** Calls something several times after one call that does not count. */
    public static function calls(int $runs, \Closure $call): self
    {
        $times = [];
        for ($run = -1; $run < $runs; ++$run) {
            $start = hrtime(true);
            $call();
            if ($run >= 0) {
                $times[] = (hrtime(true) - $start) / 1e9;
            }
        }

        return self::of($times, 0);
    }

    /** @param non-empty-list<float> $times */
    private static function of(array $times, int $megabytes): self
    {
        sort($times);

        return new self($times[intdiv(\count($times), 2)], $times[(int) floor(.95 * (\count($times) - 1))], $megabytes);
    }
}
