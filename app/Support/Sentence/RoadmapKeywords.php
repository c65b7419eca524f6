<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Models\Comparison;

/** What of a comparison is on the roadmap, and how far it is: for the clause that shows or hides it, and for the lists. */
interface RoadmapKeywords
{
    /** @return array<string, string> keyword → status of the item that holds it */
    public function keywords(Comparison $comparison): array;

    /** @return array<string, string> topic → the same */
    public function topics(Comparison $comparison): array;
}
