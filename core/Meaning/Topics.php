<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/** A partition of the universe into topics, each borne by its primary keyword. Keywords are numbered in key order. */
final readonly class Topics
{
    /**
     * @param list<string>    $keywords  in key order
     * @param array<int, int> $primaryOf keyword → its topic's primary keyword
     * @param list<int>       $primaries in taking order
     */
    public function __construct(private array $keywords, private array $primaryOf, private array $primaries)
    {
    }

    /** @return \Generator<string, list<string>> primary keyword → its secondary keywords in key order, primaries in taking order */
    public function all(): \Generator
    {
        $secondaries = [];
        foreach ($this->primaryOf as $number => $primary) {
            if ($number !== $primary) {
                $secondaries[$primary][] = $this->keywords[$number];
            }
        }
        foreach ($this->primaries as $primary) {
            yield $this->keywords[$primary] => $secondaries[$primary] ?? [];
        }
    }

    public function count(): int
    {
        return \count($this->primaries);
    }

    /** @return \Generator<string, string> keyword → topic, in key order */
    public function byKeyword(): \Generator
    {
        foreach ($this->keywords as $number => $keyword) {
            yield $keyword => $this->keywords[$this->primaryOf[$number]];
        }
    }
}
