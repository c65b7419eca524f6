<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Database\KeyRange;

/** A range of a comparison's keywords and a share of its topics, and the files that hold what became of them. */
final readonly class Part
{
    /** @param int $of how many parts there are */
    public function __construct(public int $number, public int $of, public KeyRange $range, public string $folder)
    {
    }

    /** @param array{number: int, of: int, from: ?string, before: ?string} $told */
    public static function told(array $told, string $folder): self
    {
        return new self($told['number'], $told['of'], new KeyRange($told['from'], $told['before']), $folder);
    }

    /** @return array{number: int, of: int, from: ?string, before: ?string} */
    public function tell(): array
    {
        return ['number' => $this->number, 'of' => $this->of, 'from' => $this->range->from, 'before' => $this->range->before];
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     *
     * @return non-empty-list<string> the files that the step leaves, the last of which appears last
     */
    public function results(string $step): array
    {
        return match ($step) {
            'gather' => [$this->gathered()],
            'weigh' => [...array_map($this->members(...), range(0, $this->of - 1)), $this->weighed()],
            'topics' => [$this->topics()],
        };
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     *
     * @return string the file that tells that the step is done
     */
    public function result(string $step): string
    {
        return match ($step) {
            'gather' => $this->gathered(),
            'weigh' => $this->weighed(),
            'topics' => $this->topics(),
        };
    }

    /**
     * @param value-of<PartStep::STEPS> $step
     *
     * @return list<string> files of the steps before that the step needs
     */
    public function needs(string $step): array
    {
        return match ($step) {
            'gather' => [],
            'weigh' => [$this->gathered(), $this->found()],
            'topics' => array_map(fn(int $part): string => "{$this->folder}/members-{$part}-{$this->number}", range(0, $this->of - 1)),
        };
    }

    /** The part that a topic is weighed in, with all of its keywords, wherever these are. */
    public function ofTopic(string $topic): int
    {
        return crc32($topic) % $this->of;
    }

    /** Lines as TopicMember makes them, of the topics that are weighed in another part or in this one. */
    public function members(int $part): string
    {
        return "{$this->folder}/members-{$this->number}-{$part}";
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

    /** Topics as COPY reads them. */
    public function topics(): string
    {
        return "{$this->folder}/topics-{$this->number}";
    }
}
