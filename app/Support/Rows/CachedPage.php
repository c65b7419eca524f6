<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Release;
use App\Support\StudyState;
use Illuminate\Support\Facades\Cache;

/**
 * Caches a page of a list as it is sent until something changes in the study. It is stored at the second request: most pages are opened
 * once. Lists with custom weights are never cached: they are requested once, while someone moves a slider.
 */
final class CachedPage
{
    private const SECONDS = 3600;

    /** Stands in the place of a page that was asked for once. */
    private const ASKED = 'asked';

    /**
     * @param string                          $list  name of the list, so that no other's page is told for it
     * @param list<string|int|bool|null>      $asked everything that the page goes by beside the comparison and the rulebook
     * @param \Closure(): array<string, mixed> $make
     *
     * @return string JSON
     */
    public static function of(Comparison $comparison, string $list, array $asked, \Closure $make): string
    {
        $of = [Release::stamp(), $comparison->id, StudyState::of($comparison->study_id), $list, $asked];
        $place = json_encode($of, JSON_THROW_ON_ERROR);
        $key = 'page '.hash('sha256', $place);
        $known = Cache::get($key);
        if (\is_string($known) && $known !== self::ASKED) {
            return $known;
        }
        $page = json_encode($make(), JSON_THROW_ON_ERROR);
        Cache::put($key, $known === self::ASKED ? $page : self::ASKED, self::SECONDS);

        return $page;
    }
}
