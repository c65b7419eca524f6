<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Sentence\RoadmapKeywords;

final readonly class ReadRoadmapKeywords implements RoadmapKeywords
{
    #[\Override]
    public function of(Study $study, Comparison $comparison): array
    {
        return array_map(strval(...), array_keys(RoadmapStatus::of($study, $comparison)->keywords));
    }
}
