<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Snapshot;
use App\Support\Database\KeyRange;
use App\Support\LineFile;
use Fidry\CpuCoreCounter\CpuCoreCounter;
use GreaterReach\Core\Priority\Models;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

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

    /** @var array<int, int> number of a part → its keywords, as far as they were gathered */
    private array $keywords = [];

    /** @param non-empty-list<Part> $parts in key order */
    private function __construct(
        private readonly PartStep $work,
        private readonly ComparisonOptions $order,
        private readonly ComparedSnapshots $snapshots,
        private readonly int $comparison,
        private readonly ?PartWorkers $helpers,
        private readonly string $folder,
        private readonly array $parts,
    ) {
    }

    /** Needs an open transaction; close() must follow. */
    public static function open(ComparisonOptions $order, ComparedSnapshots $snapshots, int $comparison): self
    {
        $rankings = $snapshots->rankings();
        $isLarge = $rankings >= config()->integer('reach.rankings_alone');
        $processes = $isLarge ? self::processes() : 1;
        $ranges = KeyRange::cutAt(
            $processes === 1
                ? []
                : self::cuts($snapshots, $processes * self::PER_PROCESS, min(100.0, (100 * self::SAMPLE) / max(1, $rankings))),
        );
        $folder = sys_get_temp_dir().'/reach-'.bin2hex(random_bytes(8));
        $part = static fn(int $number): Part => new Part($number, \count($ranges), $ranges[$number], $folder);
        $parts = array_map($part, array_keys($ranges));
        mkdir($folder, 0o700) ?: throw new \RuntimeException("{$folder} cannot be made.");

        $work = app(PartStep::class);
        $helpers = match (true) {
            \count($parts) === 1 => null,
            config()->boolean('reach.parts_over_nodes') => new QueuedPartWorkers(
                app(PartQueue::class),
                $work,
                $order,
                $snapshots,
                $comparison,
                $folder,
            ),
            default => new ProcessPartWorkers($order, $comparison, $folder, $processes),
        };

        return new self($work, $order, $snapshots, $comparison, $helpers, $folder, $parts);
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
        $this->helpers?->begin('gather', $this->parts);
        foreach ($this->parts as $part) {
            $this->await('gather', $part);
            $this->keywords[$part->number] = 0;
            foreach (LineFile::read($part->gathered()) as $line) {
                ++$this->keywords[$part->number];
                yield $line;
            }
        }
    }

    /** Writes what was learnt for the processes that weigh. */
    public function teach(Models $models, TopicFacts $topics): void
    {
        ModelsFile::write($this->folder, $models);
        $found = $topics->lines();
        foreach ($this->parts as $part) {
            LineFile::write($part->found(), self::next($found, $this->keywords[$part->number]));
        }
    }

    /** @return \Generator<int, string> rows as COPY reads them, in key order, begun at once; after teach() */
    public function weighed(): \Generator
    {
        $this->helpers?->begin('weigh', $this->parts);

        return $this->weighedLines();
    }

    /** @return \Generator<int, string> */
    private function weighedLines(): \Generator
    {
        foreach ($this->parts as $part) {
            $this->await('weigh', $part);
            yield from LineFile::read($part->weighed());
            unlink($part->weighed());
        }
    }

    /** @return \Generator<int, string> topics as COPY reads them, begun at once; after weighed() */
    public function topics(): \Generator
    {
        $this->helpers?->begin('topics', $this->parts);

        return $this->topicLines();
    }

    /** @return \Generator<int, string> */
    private function topicLines(): \Generator
    {
        foreach ($this->parts as $part) {
            $this->await('topics', $part);
            yield from LineFile::read($part->topics());
        }
    }

    /** Ends whatever still works, and leaves nothing behind. */
    public function close(): void
    {
        $this->helpers?->end();
        File::deleteDirectory($this->folder);
    }

    /** @param value-of<PartStep::STEPS> $step */
    private function await(string $step, Part $part): void
    {
        $this->helpers === null
            ? $this->work->execute($step, $this->order, $this->snapshots, $this->comparison, $part)
            : $this->helpers->await($step, $part);
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
     * @param \Generator<int, string> $lines
     *
     * @return \Generator<int, string> so many of them
     */
    private static function next(\Generator $lines, int $count): \Generator
    {
        for ($taken = 0; $taken < $count; ++$taken) {
            yield $lines->current();
            $lines->next();
        }
    }
}
