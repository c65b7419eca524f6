<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** The score of each criterion, 0–5, or null where its input is unknown. */
final readonly class Scores
{
    public function __construct(
        public ?int $volume,
        public ?int $ease,
        public ?int $gain,
        public ?int $value,
        public ?int $intent,
        public ?int $fit,
    ) {
    }

    /** @return array<string, ?int> criterion → score, in the order of `Criterion` */
    public function toArray(): array
    {
        return [
            Criterion::Volume->value => $this->volume,
            Criterion::Ease->value => $this->ease,
            Criterion::Gain->value => $this->gain,
            Criterion::Value->value => $this->value,
            Criterion::Intent->value => $this->intent,
            Criterion::Fit->value => $this->fit,
        ];
    }
}
