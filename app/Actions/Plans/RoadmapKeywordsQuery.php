<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Sentence\RoadmapKeywords;

final readonly class RoadmapKeywordsQuery implements RoadmapKeywords
{
    #[\Override]
    public function keywords(Comparison $comparison): array
    {
        return self::status($comparison)->keywords;
    }

    #[\Override]
    public function topics(Comparison $comparison): array
    {
        return self::status($comparison)->topics;
    }

    private static function status(Comparison $comparison): RoadmapStatus
    {
        return RoadmapStatus::of(Study::query()->with('domains')->findOrFail($comparison->study_id), $comparison);
    }
}
