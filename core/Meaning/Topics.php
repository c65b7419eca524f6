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
    public function __construct(
        private array $keywords,
        private array $primaryOf,
        private array $primaries,
        private StemSets $stems,
    ) {
    }

    /** @return list<int> keyword → the place of its topic in taking order */
    public function places(): array
    {
        $places = array_flip($this->primaries);

        return array_values(array_map(static fn(int $primary): int => $places[$primary], $this->primaryOf));
    }

    /** @return list<string> topics in taking order */
    public function names(): array
    {
        return array_map(fn(int $primary): string => $this->keywords[$primary], $this->primaries);
    }

    /** @return \Generator<int, list<int>> the stems of each topic's name, as StemSets knows them, in taking order */
    public function stems(): \Generator
    {
        foreach ($this->primaries as $primary) {
            yield $this->stems->stemsOf($primary);
        }
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
