<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/**
 * What is being shown: clauses that all hold, separated by semicolons; brackets hold alternatives. The same text is the URL, the filter
 * of the API and the heading of an export. `standing=gap;competitors>=2@20;volume>=100;brands=hide`.
 */
final readonly class Sentence
{
    /** What Compare begins with: no brand of a competitor, nothing that was set aside. The figures on the path count the same. */
    public const START = 'brands=hide;mark=kept';

    /** What Weigh begins with, where competitors' brands are never listed. */
    public const START_WEIGHING = 'mark=kept;roadmap=hide';

    private const MOST_CLAUSES = 40;
    private const MAX_LENGTH = 4000;

    /** @param list<Clause|Alternatives> $clauses */
    private function __construct(public array $clauses)
    {
    }

    /** @throws SentenceProblem */
    public static function parse(string $text): self
    {
        if (\strlen($text) > self::MAX_LENGTH) {
            throw SentenceProblem::in(substr($text, 0, 60), 'begins a sentence longer than 4,000 bytes');
        }
        $parts = array_values(array_filter(preg_split(Clause::BETWEEN, $text) ?: [], static fn(string $part): bool => trim($part) !== ''));
        if (\count($parts) > self::MOST_CLAUSES) {
            throw SentenceProblem::in(end($parts), 'is over the limit of 40 clauses');
        }

        return new self(
            array_map(
                static fn(string $part): Clause|Alternatives => str_starts_with(trim($part), '(')
                    ? Alternatives::parse(trim($part))
                    : Clause::parse($part),
                $parts,
            ),
        );
    }

    /** The sentence without the clauses of one name, as a distribution for that very clause needs it. */
    public function without(string $name): self
    {
        return new self(
            array_values(array_filter($this->clauses, static fn(Clause|Alternatives $clause): bool => $clause->name !== $name)),
        );
    }

    /** As it would be written, in one spelling. */
    public function __toString(): string
    {
        return implode(';', array_map(strval(...), $this->clauses));
    }

    /** The clauses of one name alone. */
    public function only(string $name): self
    {
        return new self(
            array_values(array_filter($this->clauses, static fn(Clause|Alternatives $clause): bool => $clause->name === $name)),
        );
    }

    /** The sentence with one clause more. */
    public function with(string $clause): self
    {
        return new self([...$this->clauses, Clause::parse($clause)]);
    }

    /** The first so many clauses, to see what each of them leaves. */
    public function first(int $count): self
    {
        return new self(\array_slice($this->clauses, 0, $count));
    }

    public function has(string $name): bool
    {
        return \count($this->without($name)->clauses) < \count($this->clauses);
    }
}
