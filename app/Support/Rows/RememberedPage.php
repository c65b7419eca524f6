<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\StudyState;
use Illuminate\Support\Facades\Cache;

/**
 * A page of a ranked list as it is sent, for whoever asks for the same one until something changes in the study. Only lists by the
 * rulebook's weights are remembered: others are asked for once, while somebody moves a slider.
 */
final class RememberedPage
{
    private const SECONDS = 3600;

    /**
     * @param list<string|int|bool>           $asked everything that the page goes by beside the comparison and the rulebook
     * @param \Closure(): array<string, mixed> $make
     *
     * @return string JSON
     */
    public static function of(Comparison $comparison, array $asked, \Closure $make): string
    {
        $key = json_encode([$comparison->id, StudyState::of($comparison->study_id), $asked], JSON_THROW_ON_ERROR);

        return Cache::remember(
            'page '.hash('sha256', $key),
            self::SECONDS,
            static fn(): string => json_encode($make(), JSON_THROW_ON_ERROR),
        );
    }
}
