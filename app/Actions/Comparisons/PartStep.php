<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\LineFile;
use App\Support\Pulse;

/** Does one step of a comparison for one part of its keywords, from file to file; in this process or in one beside it. */
final readonly class PartStep
{
    public const STEPS = ['gather', 'weigh', 'topics'];

    public function __construct(
        private GatherKeywords $gather,
        private WeighKeywords $weigh,
        private WeighTopics $topics,
        private LearnModels $learn,
    ) {
    }

    /**
     * @param value-of<self::STEPS> $step
     * @param Pulse                 $pulse beaten with every line; may end the work
     */
    public function execute(
        string $step,
        ComparisonOptions $order,
        ComparedSnapshots $snapshots,
        int $comparison,
        Part $part,
        Pulse $pulse = new Pulse(),
    ): void {
        $lines = match ($step) {
            'gather' => $this->gather->execute($snapshots, $order->study->rulebook(), $part->range),
            'weigh' => $this->weighed($order, $snapshots, $comparison, $part),
            'topics' => $this->topics->lines(
                $order->study->rulebook(),
                ModelsFile::read($part->folder),
                $comparison,
                TopicMember::ofFiles($part->needs('topics')),
            ),
        };
        LineFile::write($part->result($step), self::beating($lines, $pulse));
    }

    /** @return \Generator<int, string> */
    private function weighed(ComparisonOptions $order, ComparedSnapshots $snapshots, int $comparison, Part $part): \Generator
    {
        return $this->weigh->execute(
            $order->study,
            ModelsFile::read($part->folder),
            $this->learn->brands($snapshots->domains),
            $snapshots,
            $order->within,
            $part->range,
            new RowLines($order->study->id, $comparison),
            LineFile::read($part->gathered()),
            LineFile::read($part->found()),
            new MemberFiles($part),
        );
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
