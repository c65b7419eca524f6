<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\Study;

/** What a process beside this one is to do: one step of a comparison for some of its parts. */
final readonly class PartInstructions
{
    /**
     * @param value-of<PartStep::STEPS> $step
     * @param string                    $seen  the exported snapshot of the database that all processes read
     * @param list<Part>                $parts
     */
    private function __construct(
        public string $step,
        public int $study,
        public string $channel,
        public int $within,
        public ?string $asOf,
        public int $comparison,
        public string $seen,
        public string $folder,
        public array $parts,
    ) {
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     * @param list<Part>                $parts
     */
    public static function of(string $step, ComparisonOptions $order, int $comparison, string $seen, string $folder, array $parts): self
    {
        return new self($step, $order->study->id, $order->channel, $order->within, $order->asOf, $comparison, $seen, $folder, $parts);
    }

    public static function fromJson(string $json): self
    {
        /**
         * @var array{step: value-of<PartStep::STEPS>, study: int, channel: string, within: int, asOf: ?string, comparison: int,
         *     seen: string, folder: string, parts: list<array{number: int, of: int, from: ?string, before: ?string}>} $told
         */
        $told = json_decode($json, true, 8, JSON_THROW_ON_ERROR);
        $parts = array_map(static fn(array $part): Part => Part::told($part, $told['folder']), $told['parts']);

        return new self(
            $told['step'],
            $told['study'],
            $told['channel'],
            $told['within'],
            $told['asOf'],
            $told['comparison'],
            $told['seen'],
            $told['folder'],
            $parts,
        );
    }

    public function toJson(): string
    {
        return json_encode(
            [...get_object_vars($this), 'parts' => array_map(static fn(Part $part): array => $part->tell(), $this->parts)],
            JSON_THROW_ON_ERROR,
        );
    }

    /** The same with its files in another folder. */
    public function in(string $folder): self
    {
        $parts = array_map(static fn(Part $part): Part => new Part($part->number, $part->of, $part->range, $folder), $this->parts);

        return new self(
            $this->step,
            $this->study,
            $this->channel,
            $this->within,
            $this->asOf,
            $this->comparison,
            $this->seen,
            $folder,
            $parts,
        );
    }

    /** Read from the snapshot. */
    public function comparisonOrder(): ComparisonOptions
    {
        return new ComparisonOptions(Study::query()->with('domains')->findOrFail($this->study), $this->channel, $this->within, $this->asOf);
    }
}
