<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\Figures;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/** Processes of this machine, each with its share of the parts, that leave their results in files beside those of this one. */
final class ProcessPartWorkers implements PartWorkers
{
    /** @var list<array{Process, InputStream}> started once, as starting one takes as long as weighing some thousand keywords */
    private array $workers = [];

    public function __construct(
        private readonly ComparisonOptions $order,
        private readonly int $comparison,
        private readonly string $folder,
        private readonly int $processes,
    ) {
    }

    public function begin(string $step, array $parts): void
    {
        $this->start();
        $seen = (string) Figures::text(DB::scalar('SELECT pg_export_snapshot()'));
        foreach ($this->workers as $worker => [$process, $orders]) {
            $own = array_filter($parts, fn(Part $part): bool => $part->number % $this->processes === $worker);
            $order = PartInstructions::of($step, $this->order, $this->comparison, $seen, $this->folder, array_values($own));
            $orders->write($order->toJson()."\n");
            // Symfony fills the pipe when the process is looked at: the first look may still find the input empty.
            $process->isRunning();
            $process->isRunning();
        }
    }

    private function start(): void
    {
        while (\count($this->workers) < $this->processes) {
            $orders = new InputStream();
            $process = new Process(
                [PHP_BINARY, ...self::sameSettings(), base_path('artisan'), 'reach:part'],
                base_path(),
                input: $orders,
                timeout: null,
            );
            $process->start();
            $this->workers[] = [$process, $orders];
        }
    }

    public function await(string $step, Part $part): void
    {
        [$worker] = $this->workers[$part->number % $this->processes];
        // Asked first, as the file may come just before the end.
        while ($worker->isRunning() || is_file($part->result($step))) {
            if (is_file($part->result($step))) {
                return;
            }
            usleep(5000);
        }
        throw new \RuntimeException('A part of the comparison failed: '.trim($worker->getErrorOutput().$worker->getOutput()));
    }

    public function end(): void
    {
        foreach ($this->workers as [$worker, $orders]) {
            $orders->close();
            $worker->stop(1);
        }
    }

    /** @return list<string> so that the others have the compiler and the memory that this one has */
    private static function sameSettings(): array
    {
        $settings = [];
        foreach (['memory_limit', 'opcache.enable_cli', 'opcache.jit', 'opcache.jit_buffer_size'] as $name) {
            $value = ini_get($name);
            if ($value !== false && $value !== '') {
                array_push($settings, '-d', "{$name}={$value}");
            }
        }

        return $settings;
    }
}
