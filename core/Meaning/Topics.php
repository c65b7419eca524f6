<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/** A partition of the universe into topics, each borne by its primary keyword. Keywords are numbered in key order. */
final readonly class Topics
{
    /**
     * @param list<string>              $keywords  in key order
     * @param array<int, int>           $primaryOf keyword number → number of its topic's primary keyword
     * @param array<int, non-empty-list<int>> $members primary keyword → its topic's keywords, the primary first, then
     *                                             secondaries in key order; primaries in taking order
     */
    public function __construct(private array $keywords, private array $primaryOf, private array $members)
    {
    }

    /** @return \Generator<string, list<string>> primary keyword → its secondary keywords, primaries in taking order */
    public function all(): \Generator
    {
        foreach ($this->members as $primary => $members) {
            yield $this->keywords[$primary] => array_map(fn(int $number): string => $this->keywords[$number], \array_slice($members, 1));
        }
    }

    public function count(): int
    {
        return \count($this->members);
    }

    /** @return \Generator<string, string> keyword → topic, in key order */
    public function byKeyword(): \Generator
    {
        foreach ($this->keywords as $number => $keyword) {
            yield $keyword => $this->keywords[$this->primaryOf[$number]];
        }
    }
}
