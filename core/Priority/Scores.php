<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidArgument;

/** The score of each criterion, 0–5, or null where its input is unknown. */
final readonly class Scores
{
    /** @param array<string, ?float> $scores criterion → score, in the order of `Criterion` */
    private function __construct(private array $scores)
    {
    }

    /** @param array<string, ?float> $scores criterion → score, all of them in the order of `Criterion` */
    public static function of(array $scores): self
    {
        return \count($scores) === \count(Criterion::cases()) && array_key_first($scores) === Criterion::cases()[0]->value
            ? new self($scores)
            : throw InvalidArgument::because('Scores must name every criterion, in order.');
    }

    /** @param ?float ...$scores one for each criterion, in the order of `Criterion` */
    public static function inOrder(?float ...$scores): self
    {
        return self::of(
            \count($scores) === \count(Criterion::cases())
                ? array_combine(Criterion::names(), $scores)
                : throw InvalidArgument::because('There must be a score for every criterion.'),
        );
    }

    public function at(Criterion $criterion): ?float
    {
        return $this->scores[$criterion->value];
    }

    /** @return array<string, ?float> criterion → score, in the order of `Criterion` */
    public function toArray(): array
    {
        return $this->scores;
    }
}
