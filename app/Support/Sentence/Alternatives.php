<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/** Clauses of which one is enough: `(volume>=1000|cpc>=2)`. */
final readonly class Alternatives
{
    public string $name;

    /** @param list<Clause> $clauses */
    private function __construct(public array $clauses)
    {
        $this->name = '';
    }

    /** @throws SentenceProblem */
    public static function parse(string $text): self
    {
        $inner = substr($text, 1, -1);
        if (trim($inner) === '' || ! str_ends_with($text, ')')) {
            throw SentenceProblem::in($text, 'isn’t a list of clauses separated by bars, in brackets');
        }

        return new self(array_map(Clause::parse(...), explode('|', $inner)));
    }

    public function __toString(): string
    {
        return '('.implode('|', array_map(strval(...), $this->clauses)).')';
    }
}
