<?php

declare(strict_types=1);

namespace App\Actions\Imports;

/** How many keywords an import adds, changes and loses against what was known before. */
final readonly class ChangeCounts implements \JsonSerializable
{
    public function __construct(public int $added, public int $updated, public int $gone)
    {
    }

    public function plus(self $other): self
    {
        return new self($this->added + $other->added, $this->updated + $other->updated, $this->gone + $other->gone);
    }

    /** @return array{new: int, updated: int, gone: int} */
    public function jsonSerialize(): array
    {
        return ['new' => $this->added, 'updated' => $this->updated, 'gone' => $this->gone];
    }
}
