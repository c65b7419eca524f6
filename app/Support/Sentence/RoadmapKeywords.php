<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Models\Comparison;
use App\Models\Study;

/** Which keywords of a comparison are on the roadmap, for the clause that shows or hides them. */
interface RoadmapKeywords
{
    /** @return list<string> */
    public function of(Study $study, Comparison $comparison): array;
}
