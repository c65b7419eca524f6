<?php

declare(strict_types=1);

namespace Tests\Mutants;

/** A change: what stands there, from where to where, and what is put there instead. */
final readonly class Mutant
{
    public function __construct(
        /** All of the file as it was when the change was found, whoever works on it meanwhile. */
        public string $original,
        /** From the root on. */
        public string $file,
        public int $line,
        public int $from,
        public int $to,
        public string $was,
        public string $is,
    ) {
    }

    public function source(): string
    {
        return substr($this->original, 0, $this->from).$this->is.substr($this->original, $this->to);
    }

    /** At the same place, but what stands there is put there again: whoever notices that notices something else. */
    public function blank(): self
    {
        $same = substr($this->original, $this->from, $this->to - $this->from);

        return new self($this->original, $this->file, $this->line, $this->from, $this->to, $same, $same);
    }

    public function words(): string
    {
        return sprintf('%s:%d  %s  →  %s', $this->file, $this->line, $this->was, $this->is);
    }
}
