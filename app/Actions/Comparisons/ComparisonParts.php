<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Snapshot;
use App\Support\Database\Figures;
use App\Support\Database\KeyRange;
use App\Support\LineFile;
use Fidry\CpuCoreCounter\CpuCoreCounter;
use GreaterReach\Core\Priority\Models;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/**
 * The keywords of one comparison in parts. A large comparison has its parts done by processes beside this one, which read
 * the database as it was for this one and leave their results in files; a small one does its only part here.
 */
final class ComparisonParts
{
    /** More parts than processes, so that what comes first is ready soon. */
    private const PER_PROCESS = 6;

    /** Each takes some 105 MB at a million keywords; more of them would only wait for the one that learns. */
    private const MOST_PROCESSES = 8;

    /** Rankings looked at to cut the keywords into equal parts. */
    private const SAMPLE = 20_000;

    /** @var list<Process> */
    private array $workers = [];

    /** @param non-empty-list<Part> $parts in key order */
    private function __construct(
        private readonly PartWork $work,
        private readonly ComparisonOrder $order,
        private readonly ComparedSnapshots $snapshots,
        private readonly int $comparison,
        private readonly int $processes,
        private readonly string $folder,
        private readonly array $parts,
    ) {
    }

    /** Needs an open transaction; close() must follow. */
    public static function open(ComparisonOrder $order, ComparedSnapshots $snapshots, int $comparison): self
    {
        $rankings = $snapshots->rankings();
        $processes = $rankings < config()->integer('reach.rankings_alone') ? 1 : self::processes();
        $ranges = KeyRange::cutAt(
            $processes === 1
                ? []
                : self::cuts($snapshots, $processes * self::PER_PROCESS, min(100.0, (100 * self::SAMPLE) / max(1, $rankings))),
        );
        $folder = sys_get_temp_dir().'/reach-'.bin2hex(random_bytes(8));
        $parts = array_map(static fn(int $number): Part => new Part($number, $ranges[$number], $folder), array_keys($ranges));
        mkdir($folder, 0o700) ?: throw new \RuntimeException("{$folder} cannot be made.");

        return new self(app(PartWork::class), $order, $snapshots, $comparison, $processes, $folder, $parts);
    }

    private static function processes(): int
    {
        $wanted = config()->integer('reach.comparison_processes');

        // Counted only where it is needed: that asks the system.
        return $wanted > 0 ? $wanted : min(self::MOST_PROCESSES, (new CpuCoreCounter())->getCountWithFallback(1));
    }

    /** @return \Generator<int, string> lines as GatheredLine makes them, in key order */
    public function gathered(): \Generator
    {
        foreach ($this->done('gather') as $part) {
            yield from LineFile::read($part->gathered());
        }
    }

    /** Leaves what was learnt where whoever weighs finds it. */
    public function teach(Models $models, FoundFacts $topics): void
    {
        LearntFile::write($this->folder, $models);
        $found = $topics->lines();
        foreach ($this->parts as $part) {
            LineFile::write($part->found(), self::asMany($found, LineFile::read($part->gathered())));
        }
    }

    /** @return \Generator<int, string> rows as COPY reads them, in key order; after teach() */
    public function weighed(): \Generator
    {
        foreach ($this->done('weigh') as $part) {
            yield from LineFile::read($part->weighed());
            unlink($part->weighed());
        }
    }

    /** Ends whatever still works, and leaves nothing behind. */
    public function close(): void
    {
        foreach ($this->workers as $worker) {
            $worker->stop(1);
        }
        File::deleteDirectory($this->folder);
    }

    /**
     * @param value-of<PartWork::STEPS> $step
     *
     * @return \Generator<int, Part> each as soon as the step is done for it and those before it
     */
    private function done(string $step): \Generator
    {
        $this->workers = $this->processes === 1 ? [] : $this->workers($step);
        foreach ($this->parts as $part) {
            if ($this->workers === []) {
                $this->work->execute($step, $this->order, $this->snapshots, $this->comparison, $part);
            } else {
                self::await($step === 'gather' ? $part->gathered() : $part->weighed(), $this->workers[$part->number % $this->processes]);
            }
            yield $part;
        }
    }

    /**
     * @param value-of<PartWork::STEPS> $step
     *
     * @return list<Process>
     */
    private function workers(string $step): array
    {
        $workers = [];
        $seen = (string) Figures::text(DB::scalar('SELECT pg_export_snapshot()'));
        for ($worker = 0; $worker < $this->processes; ++$worker) {
            $own = array_filter($this->parts, fn(Part $part): bool => $part->number % $this->processes === $worker);
            $order = PartsOrder::of($step, $this->order, $this->comparison, $seen, $this->folder, array_values($own));
            $process = new Process(
                [PHP_BINARY, ...self::sameSettings(), base_path('artisan'), 'reach:part'],
                base_path(),
                input: $order->toJson(),
                timeout: null,
            );
            $process->start();
            $workers[] = $process;
        }

        return $workers;
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

    private static function await(string $path, Process $worker): void
    {
        // Asked first, as the file may come just before the end.
        while ($worker->isRunning() || is_file($path)) {
            if (is_file($path)) {
                return;
            }
            usleep(5000);
        }
        throw new \RuntimeException('A part of the comparison failed: '.trim($worker->getErrorOutput().$worker->getOutput()));
    }

    /**
     * @param float $percent of the pages on the disk that are looked at
     *
     * @return list<string> keywords that cut all lists together into about so many equal pieces
     */
    private static function cuts(ComparedSnapshots $snapshots, int $pieces, float $percent): array
    {
        $ids = array_map(static fn(Snapshot $snapshot): int => $snapshot->id, array_values(array_filter($snapshots->current)));

        /** @var list<object{keyword: string}> $cuts */
        $cuts = DB::select(
            <<<'SQL'
                SELECT min(keyword) AS keyword FROM (
                    SELECT keyword, ntile(?) OVER (ORDER BY keyword) AS piece
                    FROM (SELECT DISTINCT keyword FROM rankings TABLESAMPLE SYSTEM (?) REPEATABLE (1) WHERE study_id = ?
                        AND snapshot_id = ANY (?::bigint[])) sample
                ) piled GROUP BY piece ORDER BY piece OFFSET 1
                SQL,
            [$pieces, $percent, $snapshots->study, '{'.implode(',', $ids).'}'],
        );

        return array_column($cuts, 'keyword');
    }

    /**
     * @param \Generator<int, string> $from
     * @param iterable<string>        $measure
     *
     * @return \Generator<int, string> as many of the first as there are of the second
     */
    private static function asMany(\Generator $from, iterable $measure): \Generator
    {
        foreach ($measure as $ignored) {
            yield $from->current();
            $from->next();
        }
    }
}
