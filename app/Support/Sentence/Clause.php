<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/** One clause: a name, how it compares, and with what. `volume>=100`, `standing=gap,behind`, `text=hive -wooden`. */
final readonly class Clause
{
    private function __construct(public string $name, public string $operator, public string $value)
    {
    }

    /** @throws SentenceProblem */
    public static function parse(string $text): self
    {
        if (preg_match('/^\s*([a-z_]+\d*)\s*(>=|<=|=)\s*(.*?)\s*$/sD', $text, $part) !== 1) {
            throw SentenceProblem::in($text, 'must be a name, one of >=, <= and =, and a value');
        }

        return new self($part[1], $part[2], $part[3]);
    }

    public function __toString(): string
    {
        return $this->name.$this->operator.$this->value;
    }

    /** @return list<string> */
    public function values(): array
    {
        return array_values(array_filter(array_map(trim(...), explode(',', $this->value)), static fn(string $value): bool => $value !== ''));
    }
}
