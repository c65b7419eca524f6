<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\LineFile;

/** Does one step of a comparison for one part of its keywords, from file to file; in this process or in one beside it. */
final readonly class PartWork
{
    public const STEPS = ['gather', 'weigh'];

    public function __construct(private GatherKeywords $gather, private WeighKeywords $weigh, private LearnModels $learn)
    {
    }

    /** @param value-of<self::STEPS> $step */
    public function execute(string $step, ComparisonOrder $order, ComparedSnapshots $snapshots, int $comparison, Part $part): void
    {
        if ($step === 'gather') {
            LineFile::write($part->gathered(), $this->gather->execute($snapshots, $order->study->rulebook(), $part->range));

            return;
        }
        $rows = new RowLines($order->study->id, $comparison);
        $models = LearntFile::read($part->folder);
        $brands = $this->learn->brands($snapshots->domains);
        LineFile::write(
            $part->weighed(),
            $this->weigh->execute(
                $order->study,
                $models,
                $brands,
                $snapshots,
                $order->within,
                $part->range,
                $rows,
                LineFile::read($part->gathered()),
                LineFile::read($part->found()),
            ),
        );
    }
}
