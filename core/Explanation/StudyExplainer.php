<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Effort;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Tactic;

/** Explains the figures that stand for a whole study, a plan or a season rather than for one keyword's position. */
final class StudyExplainer
{
    private const MONTH_NAMES = [
        1 => 'January',
        'February',
        'March',
        'April',
        'May',
        'June',
        'July',
        'August',
        'September',
        'October',
        'November',
        'December',
    ];

    /**
     * @param float $clicks of one domain, a month
     * @param float $all    of all compared domains together
     */
    public static function shareOfClicks(string $domain, float $clicks, float $all): Explanation
    {
        $step =
            $all > 0.0
                ? \sprintf('%s ÷ %s = %s.', Explanation::number($clicks), Explanation::number($all), Explanation::number($clicks / $all))
                : 'No domain gets clicks, so there is no share.';

        return new Explanation(
            'share_of_clicks',
            'Σ volume × click-through rate over a domain\'s keywords, divided by the same sum over all compared domains.',
            [new Input('clicks of '.$domain, $clicks, 'a month'), new Input('clicks of all compared domains', $all, 'a month')],
            [$step],
            ['Keywords of unknown volume are left out.'],
        );
    }

    /**
     * @param int   $keywords for which the domain ranks
     * @param float $visits   a month
     */
    public static function visits(string $domain, int $keywords, float $visits): Explanation
    {
        return new Explanation(
            'visits',
            'Σ volume × click-through rate at the domain\'s best position, over its keywords.',
            [new Input('keywords of '.$domain, $keywords)],
            [\sprintf('Over %s keywords that comes to %s visits a month.', Explanation::number($keywords), Explanation::number($visits))],
            ['Keywords of unknown volume are left out.', 'We assume that every searcher clicks as the CTR curve says.'],
        );
    }

    /**
     * @param float $visits a month
     * @param float $value  a month, in the market's currency
     */
    public static function value(string $domain, float $visits, float $value): Explanation
    {
        return new Explanation(
            'value',
            'Σ visits × CPC over the domain\'s keywords: the cost of the same clicks as ads.',
            [new Input('visits of '.$domain, $visits, 'a month')],
            [
                $visits > 0.0
                    ? \sprintf(
                        '%s a month, on average %s for each of its %s visits.',
                        Explanation::number($value),
                        Explanation::number($value / $visits),
                        Explanation::number($visits),
                    )
                    : 'There are no visits, so there is no value.',
            ],
            ['Keywords of unknown CPC or volume are left out.'],
        );
    }

    /** @param float $share of draws, 0…1 */
    public static function steadiness(float $share, int $draws, int $top): Explanation
    {
        return new Explanation(
            'steadiness',
            'Share of simulations with random weights in which the item stays at the top.',
            [new Input('draws', $draws), new Input('ranks that count as the top', $top)],
            [
                \sprintf(
                    '%s of %s simulations kept it in the top %d: %s.',
                    Explanation::number((int) round($share * $draws)),
                    Explanation::number($draws),
                    $top,
                    Steadiness::meaning($share),
                ),
            ],
        );
    }

    public static function season(Season $season): Explanation
    {
        $peak = $season->peak();
        $step =
            $peak === null
                ? \sprintf('No month reaches %s times the mean: steady.', Explanation::number(Season::SEASONAL_FROM))
                : \sprintf('%s reaches %s times the mean: seasonal.', self::MONTH_NAMES[$peak], Explanation::number($season->index($peak)));

        return new Explanation(
            'season',
            'The volume of a calendar month divided by the mean of the twelve; seasonal from '.
                Explanation::number(Season::SEASONAL_FROM).
                '.',
            [],
            [$step],
        );
    }

    public static function effortOfLinks(Effort $effort, int $links): Explanation
    {
        return new Explanation(
            'effort',
            'Earning links takes the same number of days for each link. It has no visit forecast.',
            [new Input('links', $links)],
            [sprintf(
                '%d links · %s days = %s days.',
                $links,
                Explanation::number($effort->perLink),
                Explanation::number($effort->forLinks($links)),
            )],
        );
    }

    /** @param int $keywords that are open */
    public static function effort(Effort $effort, Tactic $tactic, int $keywords): Explanation
    {
        $days = $effort->days($tactic, $keywords);
        $alone = $effort->days($tactic);

        return new Explanation(
            'effort',
            'Days of work by tactic, plus extra days for every ten open keywords beyond the first ten. Links are separate items.',
            [new Input('open keywords', $keywords)],
            [
                \sprintf(
                    '%s: %s days + %s for %d keywords = %s days.',
                    ucfirst($tactic->value),
                    Explanation::number($alone),
                    Explanation::number($days - $alone),
                    $keywords,
                    Explanation::number($days),
                ),
            ],
        );
    }

    /** @param int $items in the plan */
    public static function forecast(Month $month, Band $band, int $items, int $draws, float $sigma): Explanation
    {
        return new Explanation(
            'forecast',
            'Σ gain × season × min(1, months since done ÷ ramp), drawn 2,000 times. The effect of work is drawn once for all new and once '
                .'for all existing pages, then a position for each page and its volume. The mean lies a little above the sum of '
                .'expected gains, since a small chance can rise further than it can fall.',
            [new Input('items', $items), new Input('draws', $draws), new Input('spread of the volume', $sigma, 'sigma of its logarithm')],
            [
                \sprintf(
                    'In %s, 8 of 10 simulations bring %s to %s visits. The median is %s, the mean %s.',
                    $month,
                    Explanation::number($band->p10),
                    Explanation::number($band->p90),
                    Explanation::number($band->p50),
                    Explanation::number($band->mean),
                ),
            ],
            ['Apart from the shared effect of work, pages move independently.'],
        );
    }

    /**
     * @param float $added visits a month beyond those when it was planned
     * @param float $ratio visits now ÷ visits then of pages that no one worked on
     * @param float $net   visits a month beyond that drift
     * @param ?bool $isReached whether the lead is at its target; null where none was kept
     */
    public static function outcome(
        Outcome $outcome,
        float $added,
        float $ratio,
        float $net,
        bool $isUnclear,
        Band $band,
        Month $done,
        int $ramp,
        ?bool $isReached,
    ): Explanation {
        $step = $outcome === Outcome::TooEarly
            ? \sprintf('Finished in %s, it pays in full from %s: too early to tell.', $done, $done->plus($ramp))
            : \sprintf(
                '%s net visits against a forecast of %s to %s: %s.',
                Explanation::number($net),
                Explanation::number($band->p10),
                Explanation::number($band->p90),
                $outcome->value,
            );

        return new Explanation(
            'outcome',
            'Visits now minus visits without the work, against the 10th and 90th percentile of the forecast.',
            [
                new Input('visits added', $added, 'a month'),
                new Input('drift', $ratio, 'of the visits then'),
                new Input('ramp', $ramp, 'months'),
            ],
            [
                \sprintf('Pages without work now bring %s of their earlier visits.', Explanation::percent($ratio)),
                $step,
                ...$isUnclear ? ['No clear change: pages without work vary as much.'] : [],
                ...match ($isReached) {
                    true => ['The lead has reached its target.'],
                    false => $outcome === Outcome::TooEarly ? [] : ['The lead has not reached its target.'],
                    null => [],
                },
            ],
        );
    }
}
