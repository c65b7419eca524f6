<?php

declare(strict_types=1);

namespace App\Support\Database;

/** Keywords from one on and before another, in key order. */
final readonly class KeyRange
{
    /**
     * @param ?string $from   the first keyword; null begins at the very first
     * @param ?string $before the first one beyond; null has no end
     */
    public function __construct(public ?string $from = null, public ?string $before = null)
    {
    }

    public static function whole(): self
    {
        return new self();
    }

    /**
     * Cuts the keys at some of them.
     *
     * @param list<string> $cuts in key order
     *
     * @return non-empty-list<self> one more than there are different cuts
     */
    public static function cutAt(array $cuts): array
    {
        $ranges = [];
        $from = null;
        foreach (array_values(array_unique($cuts)) as $cut) {
            $ranges[] = new self($from, $cut);
            $from = $cut;
        }

        return [...$ranges, new self($from)];
    }

    /** To be put behind another condition, with bindings(). */
    public function andKeyword(string $column = 'keyword'): string
    {
        return ($this->from === null ? '' : " AND {$column} >= ?").($this->before === null ? '' : " AND {$column} < ?");
    }

    /** @return list<string> */
    public function bindings(): array
    {
        return array_values(array_filter([$this->from, $this->before], static fn(?string $end): bool => $end !== null));
    }
}
