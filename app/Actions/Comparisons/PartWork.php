<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\LineFile;
use App\Support\Pulse;

/** Does one step of a comparison for one part of its keywords, from file to file; in this process or in one beside it. */
final readonly class PartWork
{
    public const STEPS = ['gather', 'weigh'];

    public function __construct(private GatherKeywords $gather, private WeighKeywords $weigh, private LearnModels $learn)
    {
    }

    /**
     * @param value-of<self::STEPS> $step
     * @param Pulse                 $pulse beaten with every line; may end the work
     */
    public function execute(
        string $step,
        ComparisonOrder $order,
        ComparedSnapshots $snapshots,
        int $comparison,
        Part $part,
        Pulse $pulse = new Pulse(),
    ): void {
        if ($step === 'gather') {
            $gathered = $this->gather->execute($snapshots, $order->study->rulebook(), $part->range);
            LineFile::write($part->gathered(), self::beating($gathered, $pulse));

            return;
        }
        $rows = new RowLines($order->study->id, $comparison);
        $models = LearntFile::read($part->folder);
        $brands = $this->learn->brands($snapshots->domains);
        $weighed = $this->weigh->execute(
            $order->study,
            $models,
            $brands,
            $snapshots,
            $order->within,
            $part->range,
            $rows,
            LineFile::read($part->gathered()),
            LineFile::read($part->found()),
        );
        LineFile::write($part->weighed(), self::beating($weighed, $pulse));
    }

    /**
     * @param iterable<string> $lines
     *
     * @return \Generator<int, string> the same
     */
    private static function beating(iterable $lines, Pulse $pulse): \Generator
    {
        foreach ($lines as $line) {
            $pulse->beat();
            yield $line;
        }
    }
}
