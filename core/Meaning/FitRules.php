<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Internal\PhraseRanks;

/**
 * Proposes the business fit of a keyword from phrases, on whole words, each also with a trailing s. The first rule whose
 * phrase is in the keyword holds; where none is, the first whose phrase is in the name of its topic. What a person says of
 * the keyword itself beats both.
 */
final readonly class FitRules
{
    /** @param list<int> $fits by rank of the phrase */
    private function __construct(private PhraseRanks $phrases, private array $fits)
    {
    }

    /** @param array<array-key, int> $rules phrase → fit 0…5, the first rule first */
    public static function of(array $rules): self
    {
        return new self(
            PhraseRanks::of(array_map(static fn(int|string $phrase): array => [(string) $phrase], array_keys($rules))),
            array_values($rules),
        );
    }

    /**
     * @param list<string> $words of the keyword
     *
     * @return ?int 0…5, null where no rule speaks
     */
    public function fitOf(array $words, ?string $topic): ?int
    {
        if ($this->fits === []) {
            return null;
        }
        $rank = $this->phrases->bestIn($words) ?? ($topic === null ? null : $this->phrases->bestIn(Words::of($topic)));

        return $rank === null ? null : $this->fits[$rank];
    }
}
