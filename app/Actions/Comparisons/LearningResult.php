<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Priority\Models;

/** What a whole study has taught. How well the model tells what it has not seen is looked at apart, as no weighing waits for it. */
final readonly class LearningResult
{
    /** @param \Closure(): Models $judge the same models, with the position model judged out of sample */
    public function __construct(public Models $models, public TopicFacts $found, public \Closure $judge)
    {
    }
}
