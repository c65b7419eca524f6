<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\KeyRange;

/** A range of a comparison's keywords, and the files that hold what became of it. */
final readonly class Part
{
    public function __construct(public int $number, public KeyRange $range, public string $folder)
    {
    }

    /** @param array{number: int, from: ?string, before: ?string} $told */
    public static function told(array $told, string $folder): self
    {
        return new self($told['number'], new KeyRange($told['from'], $told['before']), $folder);
    }

    /** @return array{number: int, from: ?string, before: ?string} */
    public function tell(): array
    {
        return ['number' => $this->number, 'from' => $this->range->from, 'before' => $this->range->before];
    }

    /**
     * @param value-of<PartWork::STEPS> $step
     *
     * @return string the file that the step leaves
     */
    public function result(string $step): string
    {
        return $step === 'gather' ? $this->gathered() : $this->weighed();
    }

    /**
     * @param value-of<PartWork::STEPS> $step
     *
     * @return list<string> files of its own that the step needs
     */
    public function needs(string $step): array
    {
        return $step === 'gather' ? [] : [$this->gathered(), $this->found()];
    }

    /** Lines as GatheredLine makes them. */
    public function gathered(): string
    {
        return "{$this->folder}/gathered-{$this->number}";
    }

    /** Lines as FoundTopics makes them. */
    public function found(): string
    {
        return "{$this->folder}/found-{$this->number}";
    }

    /** Rows as COPY reads them. */
    public function weighed(): string
    {
        return "{$this->folder}/weighed-{$this->number}";
    }
}
