<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Results\RoundedFigure;

/**
 * Which own page serves a topic: of those near the top for any of its keywords, open or not, the one that brings most visits now with
 * all of them; ties to the better position, then to the smaller URL key in bytes.
 */
final readonly class ServingPage
{
    /** @var list<float> what each place earns of the first place's clicks */
    private array $shares;

    public function __construct(CtrCurve $curve)
    {
        $this->shares = $curve->besideFirst();
    }

    /**
     * @param list<array{array<array-key, int>, ?float}> $keywords of the topic: of each our pages, URL key → best position (1…100), and its
     *                                                             potential in clicks a month, null where unknown
     */
    public function of(array $keywords): ?string
    {
        $best = $visits = [];
        foreach ($keywords as [$pages, $potential]) {
            foreach ($pages as $url => $position) {
                $best[$url] = min($position, $best[$url] ?? $position);
                $visits[$url] = ($visits[$url] ?? 0.0) + ($potential ?? 0.0) * $this->shares[$position - 1];
            }
        }
        $serving = null;
        foreach ($best as $url => $position) {
            if (! TacticRule::isOwnPage($position)) {
                continue;
            }
            $rank = [-RoundedFigure::of($visits[$url]), $position, (string) $url];
            if ($serving === null || $rank < $serving) {
                $serving = $rank;
            }
        }

        return $serving[2] ?? null;
    }
}
