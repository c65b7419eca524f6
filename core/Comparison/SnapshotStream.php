<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * Reads one snapshot in keyword order, one keyword at a time.
 *
 * @internal
 */
final class SnapshotStream
{
    /** Keyword under the head, null at the end. */
    public ?string $keyword = null;

    private ?Ranking $head = null;

    /** @param \Iterator<mixed, Ranking> $rankings ordered by keyword in bytes */
    private function __construct(private readonly \Iterator $rankings)
    {
        $rankings->rewind();
        $this->readHead();
    }

    /** @param iterable<Ranking> $rankings */
    public static function over(iterable $rankings): self
    {
        return new self($rankings instanceof \Iterator ? $rankings : (static fn(): \Generator => yield from $rankings)());
    }

    /**
     * Takes the rankings of a keyword, best first position-wise; empty when the head is another keyword.
     *
     * @return list<Ranking> the best one first, the others in the order they came
     */
    public function take(string $keyword): array
    {
        $taken = [];
        while ($this->keyword === $keyword) {
            \assert($this->head !== null);
            $taken[] = $this->head;
            $this->advance();
        }

        return isset($taken[1]) ? self::bestFirst($taken) : $taken;
    }

    /**
     * Takes the rankings of a keyword, passing over those of keywords before it.
     *
     * @return list<Ranking> the best one first
     */
    public function seek(string $keyword): array
    {
        while ($this->keyword !== null && strcmp($this->keyword, $keyword) < 0) {
            $this->advance();
        }

        return $this->take($keyword);
    }

    private function advance(): void
    {
        $before = $this->keyword;
        $this->rankings->next();
        $this->readHead();
        if ($this->keyword !== null && $before !== null && strcmp($this->keyword, $before) < 0) {
            throw InvalidArgument::because('A snapshot must be given in keyword order; "'.$this->keyword.'" came after "'.$before.'".');
        }
    }

    private function readHead(): void
    {
        $this->head = $this->rankings->valid() ? $this->rankings->current() : null;
        $this->keyword = $this->head?->keyword;
    }

    /**
     * @param non-empty-list<Ranking> $rankings
     *
     * @return non-empty-list<Ranking>
     */
    private static function bestFirst(array $rankings): array
    {
        $best = 0;
        foreach ($rankings as $index => $ranking) {
            if ($ranking->isBetterThan($rankings[$best])) {
                $best = $index;
            }
        }
        $first = $rankings[$best];
        unset($rankings[$best]);

        return [$first, ...$rankings];
    }
}
