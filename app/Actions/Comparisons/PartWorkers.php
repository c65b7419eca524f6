<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

/** Who does the parts of a comparison beside the one that makes it. */
interface PartWorkers
{
    /**
     * Needs the open transaction of the comparison, whose moment they see.
     *
     * @param value-of<PartStep::STEPS> $step
     * @param list<Part>                $parts what the step needs lies in their files
     */
    public function begin(string $step, array $parts): void;

    /**
     * Waits until the file of a step lies there.
     *
     * @param value-of<PartStep::STEPS> $step
     *
     * @throws \RuntimeException when the part failed
     */
    public function await(string $step, Part $part): void;

    /** Stops whatever still works. */
    public function end(): void;
}
