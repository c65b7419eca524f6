<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\Bounds;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Meaning\Intent;

/** What a person decided about a keyword; null where nothing was. */
final readonly class Judgement
{
    public function __construct(
        /** Position aimed at, 1…100. */
        public ?int $target = null,
        /** Business fit, 0…5. */
        public ?int $fit = null,
        public ?Intent $intent = null,
        /** Name of the topic that the keyword was put in. */
        public ?string $topic = null,
        /** Difficulty, 0…100, that stands in for the sources'. */
        public ?float $difficulty = null,
    ) {
        InvalidArgument::unless(
            Bounds::hold(1, 100, $target) && Bounds::hold(0, 5, $fit) && Bounds::hold(0, 100, $difficulty),
            'A target lies between 1 and 100, a fit between 0 and 5, a difficulty between 0 and 100.',
        );
    }
}
