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
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;

final class StudyExplainerTest extends TestCase
{
    public function test_shares_are_told_with_their_sums(): void
    {
        self::assertSame(['25 ÷ 100 = 0.25.'], StudyExplainer::shareOfClicks('a.example', 25.0, 100.0)->steps);
        self::assertSame(['Nobody gets a click, so there is no share.'], StudyExplainer::shareOfClicks('a.example', 0.0, 0.0)->steps);
    }

    public function test_visits_and_their_value_are_told_by_domain(): void
    {
        self::assertSame(
            ["Over 1\u{2009}200 keywords that comes to 340.5 visits a month."],
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
            ['450 of 500 draws kept it in the top 20: a safe choice whatever the weights.'],
            StudyExplainer::steadiness(0.9, 500, 20)->steps,
        );
        self::assertSame('in the top with few weights only', Steadiness::meaning(0.02));
        self::assertSame(
            ['depends on the weights', 'not in the top with any weights drawn'],
            [Steadiness::meaning(0.3), Steadiness::meaning(0.0)],
        );
        self::assertSame(
            ['10 of 500 draws kept it in the top 20: in the top with few weights only.'],
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
            ['new page + links: 3 days, and 1 for links: 4.'],
            StudyExplainer::effort(Rulebook::standard()->effort(), TacticLabel::of(Tactic::NewPage, true), 4)->steps,
        );
    }

    public function test_a_forecast_is_a_range(): void
    {
        $why = StudyExplainer::forecast(Month::parse('2027-03'), new Band(10, 50, 90, 52.5), 7, 2000, 0.3);
        self::assertSame(['In 2027-03 eight of ten draws lie between 10 and 90 visits, half below 50; the mean is 52.5.'], $why->steps);
        self::assertSame(
            ['items' => 7, 'draws' => 2000, 'spread of the volume' => 0.3],
            array_combine(array_column($why->jsonSerialize()['inputs'], 'name'), array_column($why->jsonSerialize()['inputs'], 'value')),
        );
    }

    public function test_a_share_and_a_value_of_less_than_a_visit_are_told(): void
    {
        self::assertSame(['0.25 ÷ 0.5 = 0.5.'], StudyExplainer::shareOfClicks('a.example', .25, .5)->steps);
        self::assertSame(
            ['Nobody gets a click, so there is no share.'],
            StudyExplainer::shareOfClicks('a.example', 0.0, 0.0)->steps,
        );
        self::assertSame(
            ['1.5 a month, on average 3 for each of its 0.5 visits.'],
            StudyExplainer::value('a.example', .5, 1.5)->steps,
        );
    }

    public function test_an_outcome_is_told_against_its_band_or_said_to_be_too_early(): void
    {
        $band = new Band(10, 50, 90, 52.5);
        $done = Month::parse('2026-11');
        self::assertSame(
            ['95 visits were added; the band reached from 10 to 90: above.', 'The lead has reached its target.'],
            StudyExplainer::outcome(Outcome::Above, 95, $band, $done, 2, true)->steps,
        );
        self::assertSame(
            ['It was done in 2026-11 and pays in full from 2027-01; until then it is too early to tell.'],
            StudyExplainer::outcome(Outcome::TooEarly, 0, $band, $done, 2, false)->steps,
        );
        // Inside a band that begins at nothing, work that did nothing is not praised.
        self::assertSame(
            'The lead has not reached its target, and nothing came of the work.',
            StudyExplainer::outcome(Outcome::Inside, 0, new Band(0, 50, 90, 52.5), $done, 2, false)->steps[1],
        );
        self::assertCount(1, StudyExplainer::outcome(Outcome::Inside, 5, $band, $done, 2, null)->steps);
        $told = static fn(float $visits): string => StudyExplainer::outcome(Outcome::Inside, $visits, $band, $done, 2, false)->steps[1];
        self::assertSame($told(0.0), $told(-5.0));
        self::assertSame('The lead has not reached its target.', $told(.5));
    }
}
