<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/** One clause: a name, how it compares, and with what. `volume>=100`, `standing=gap,behind`, `text=hive -wooden`. */
final readonly class Clause
{
    /** What stands between two clauses; with a backslash before it a semicolon belongs to a value. */
    public const BETWEEN = '/(?<!\\\\);/';

    private function __construct(public string $name, public string $operator, public string $value)
    {
    }

    /** @throws SentenceProblem */
    public static function parse(string $text): self
    {
        if (preg_match('/^\s*([a-z_]+\d*)\s*(>=|<=|=)\s*(.*?)\s*$/sD', $text, $part) !== 1) {
            throw SentenceProblem::in($text, 'isn’t a name, one of >=, <= and =, and a value');
        }

        return new self($part[1], $part[2], str_replace('\\;', ';', $part[3]));
    }

    /** A clause of any value, as it is written. */
    public static function equals(string $name, string $value): string
    {
        return (string) new self($name, '=', $value);
    }

    public function __toString(): string
    {
        return $this->name.$this->operator.str_replace(';', '\\;', $this->value);
    }

    /** @throws SentenceProblem when the value is no number */
    public function number(): float
    {
        return preg_match('/^(?:\d{1,12}(?:\.\d{1,17})?|\.\d{1,17})$/D', $this->value) === 1
            ? (float) $this->value
            : throw SentenceProblem::in((string) $this, 'needs a number, such as 12 or 0.5');
    }

    /**
     * @param list<string> $known
     *
     * @return non-empty-list<string>
     *
     * @throws SentenceProblem when a value is none of them
     */
    public function choices(array $known): array
    {
        $values = $this->values();
        if ($this->operator !== '=' || $values === [] || array_diff($values, $known) !== []) {
            throw SentenceProblem::in((string) $this, 'isn’t '.$this->name.'= and one of '.implode(', ', $known));
        }

        return $values;
    }

    /**
     * The same for clauses that take a single value.
     *
     * @param list<string> $known
     *
     * @throws SentenceProblem when it is none of them, or there are several
     */
    public function choice(array $known): string
    {
        $choices = $this->choices($known);

        return \count($choices) === 1
            ? $choices[0]
            : throw SentenceProblem::in((string) $this, 'takes one value: '.implode(', ', $known));
    }

    /** @return list<string> */
    public function values(): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode(',', $this->value)), static fn(string $value): bool => $value !== ''),
        );
    }
}
