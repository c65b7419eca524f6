<?php

declare(strict_types=1);

namespace Tests\Core\Explanation;

use GreaterReach\Core\Explanation\StudyExplainer;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Outcome;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;

final class StudyExplainerTest extends TestCase
{
    public function test_shares_are_told_with_their_sums(): void
    {
        self::assertSame(['25 ÷ 100 = 0.25.'], StudyExplainer::shareOfClicks('a.example', 25.0, 100.0)->steps);
        self::assertSame(['No domain gets clicks, so there is no share.'], StudyExplainer::shareOfClicks('a.example', 0.0, 0.0)->steps);
    }

    public function test_visits_and_their_value_are_told_by_domain(): void
    {
        self::assertSame(
            ["Over 1,200 keywords that comes to 340.5 visits a month."],
            StudyExplainer::visits('a.example', 1200, 340.5)->steps,
        );
        self::assertSame(
            ['85 a month, on average 0.25 for each of its 340 visits.'],
            StudyExplainer::value('a.example', 340.0, 85.0)->steps,
        );
        self::assertSame(['There are no visits, so there is no value.'], StudyExplainer::value('a.example', 0.0, 0.0)->steps);
    }

    public function test_steadiness_says_what_it_means(): void
    {
        self::assertSame(
            ['450 of 500 simulations kept it in the top 20: a safe choice whatever the weights.'],
            StudyExplainer::steadiness(0.9, 500, 20)->steps,
        );
        self::assertSame('in the top with few weights only', Steadiness::meaning(0.02));
        self::assertSame(
            ['depends on the weights', 'not in the top with any weights drawn'],
            [Steadiness::meaning(0.3), Steadiness::meaning(0.0)],
        );
        self::assertSame(
            ['10 of 500 simulations kept it in the top 20: in the top with few weights only.'],
            StudyExplainer::steadiness(0.02, 500, 20)->steps,
        );
    }

    public function test_a_season_names_its_peak(): void
    {
        self::assertSame(
            ['April reaches 6 times the mean: seasonal.'],
            StudyExplainer::season(Season::of(new Metrics(monthly: [0, 0, 10, 60, 40, 10, 0, 0, 0, 0, 0, 0])))->steps,
        );
        self::assertSame(['No month reaches 1.5 times the mean: steady.'], StudyExplainer::season(Season::steady())->steps);
    }

    public function test_effort_is_told_by_its_parts(): void
    {
        self::assertSame(
            ['New page: 3 days + 0.5 for 12 keywords = 3.5 days.'],
            StudyExplainer::effort(Rulebook::standard()->effort(), Tactic::NewPage, 12)->steps,
        );
    }

    public function test_a_forecast_is_a_range(): void
    {
        $why = StudyExplainer::forecast(Month::parse('2027-03'), new Band(10, 50, 90, 52.5), 7, 2000, 0.3);
        self::assertSame(
            ['In 2027-03, 8 of 10 simulations bring 10 to 90 visits. The median is 50, the mean 52.5.'],
            $why->steps,
        );
        self::assertSame(
            ['items' => 7, 'draws' => 2000, 'spread of the volume' => 0.3],
            array_combine(array_column($why->jsonSerialize()['inputs'], 'name'), array_column($why->jsonSerialize()['inputs'], 'value')),
        );
    }

    public function test_a_share_and_a_value_of_less_than_a_visit_are_told(): void
    {
        self::assertSame(['0.25 ÷ 0.5 = 0.5.'], StudyExplainer::shareOfClicks('a.example', .25, .5)->steps);
        self::assertSame(
            ['No domain gets clicks, so there is no share.'],
            StudyExplainer::shareOfClicks('a.example', 0.0, 0.0)->steps,
        );
        self::assertSame(
            ['1.5 a month, on average 3 for each of its 0.5 visits.'],
            StudyExplainer::value('a.example', .5, 1.5)->steps,
        );
    }

    public function test_an_outcome_is_told_against_its_forecast_or_said_to_be_too_early(): void
    {
        $told = static fn(Outcome $outcome, float $net, bool $isUnclear, ?bool $isReached): array => self::plain(StudyExplainer::outcome(
            $outcome,
            95,
            1.1,
            $net,
            $isUnclear,
            new Band(10, 50, 90, 52.5),
            Month::parse('2026-11'),
            2,
            $isReached,
        )->steps);
        $drift = 'Pages without work now bring 110% of their earlier visits.';
        self::assertSame(
            [$drift, '92.5 net visits against a forecast of 10 to 90: above.', 'The lead has reached its target.'],
            $told(Outcome::Above, 92.5, false, true),
        );
        self::assertSame(
            [$drift, 'Finished in 2026-11, it pays in full from 2027-01: too early to tell.'],
            $told(Outcome::TooEarly, 0.0, false, false),
        );
        self::assertSame(
            [
                $drift,
                '12 net visits against a forecast of 10 to 90: inside.',
                'No clear change: pages without work vary as much.',
                'The lead has not reached its target.',
            ],
            $told(Outcome::Inside, 12.0, true, false),
        );
        self::assertCount(2, $told(Outcome::Inside, 12.0, false, null));
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function plain(array $texts): array
    {
        return array_map(static fn(string $text): string => str_replace("\u{2009}", ' ', $text), $texts);
    }
}
