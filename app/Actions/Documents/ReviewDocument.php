<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Findings\FindingsQuery;
use App\Actions\Plans\ChangesSinceQuery;
use App\Actions\Plans\PlanState;
use App\Actions\Plans\TrackQuery;
use App\Actions\Plans\UpcomingItemsQuery;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Release;
use Illuminate\Support\Facades\Cache;

/**
 * The month in review on two printed sheets: what moved, what came of the work, what comes next.
 *
 * @phpstan-import-type Track from TrackQuery
 * @phpstan-import-type Ahead from UpcomingItemsQuery
 */
final readonly class ReviewDocument
{
    private const DAY = 86_400;
    private const ITEMS = 10;
    private const NEXT = 8;
    private const MONTHS = 6;
    private const FINDINGS = 3;
    private const WIDTH = 640;
    private const HEIGHT = 150;

    public function __construct(
        private TrackQuery $track,
        private ChangesSinceQuery $since,
        private UpcomingItemsQuery $ahead,
        private FindingsQuery $findings,
    ) {
    }

    /** Calculates what it will tell, for anyone who opens it next. */
    public function prepare(Study $study, Comparison $comparison): void
    {
        $this->read($study, $comparison);
        $this->findings->execute($study);
    }

    /** @return string an HTML document that needs nothing beside it */
    public function html(Study $study, Comparison $comparison, string $nonce): string
    {
        ['track' => $track, 'ahead' => $ahead, 'since' => $since] = $this->read($study, $comparison);

        return view('review', [
            'nonce' => $nonce,
            'study' => $study,
            'comparison' => $comparison,
            'since' => $since,
            'track' => $track,
            'items' => \array_slice(array_reverse($track['items']), 0, self::ITEMS),
            'findings' => \array_slice($this->findings->execute($study), 0, self::FINDINGS),
            'ahead' => $ahead['items'],
            'forecast' => $ahead['forecast'],
            'lines' => ShareLines::of($track['shares'], \count($comparison->domains), self::WIDTH, self::HEIGHT),
            'width' => self::WIDTH,
            'height' => self::HEIGHT,
        ])->render();
    }

    /**
     * Caches each part until the study changes: the review is opened repeatedly in a meeting. Results of finished work do not depend on
     * later decisions.
     *
     * @return array{track: Track, ahead: Ahead, since: ?array<string, mixed>}
     */
    private function read(Study $study, Comparison $comparison): array
    {
        $track = $this->remembered('tracked', PlanState::besideDecisions($study), fn(): array => $this->track->execute($study));
        $ahead = fn(): array => $this->ahead->execute($study, self::NEXT, self::MONTHS);
        $ahead = $this->remembered('ahead', PlanState::ofFigures($study), $ahead);
        $since = $this->remembered('since', PlanState::of($study), fn(): array => [$this->since->execute($study, $comparison)]);

        /** @var array{track: Track, ahead: Ahead, since: ?array<string, mixed>} */
        return ['track' => $track, 'ahead' => $ahead, 'since' => $since[0]];
    }

    /**
     * @param string                  $state as long as which it holds
     * @param \Closure(): array<mixed> $work
     *
     * @return array<mixed>
     */
    private function remembered(string $name, string $state, \Closure $work): array
    {
        /** @var array<mixed> */
        return Cache::remember(implode(' ', [$name, Release::stamp(), $state]), self::DAY, $work);
    }
}
