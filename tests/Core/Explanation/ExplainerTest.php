<?php

declare(strict_types=1);

namespace Tests\Core\Explanation;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Explanation\Explainer;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\FigureInputs;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinChance;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\TestCase;

final class ExplainerTest extends TestCase
{
    public function test_every_figure_is_explained_with_its_own_numbers(): void
    {
        $why = $this->explain(12, 1100, 20.0);
        self::assertSame(['1 100 × 0.008 = 8.8 visits a month.'], self::plain($why['visits_now']->steps));
        self::assertSame(
            ['The aim is position 3.', '1 100 × 0.114 = 125.4 visits a month.', 'Less the visits now, 8.8: a gain of 116.6.'],
            self::plain($why['gain']->steps),
        );
        self::assertSame(['p = 1 ÷ (1 + e^((20 − 30) ÷ 8)) = 0.7773.', '1 − (1 − 0.7773)(1 − 0.35) = 0.8552.'], $why['win_chance']->steps);
        self::assertCount(3, $why['win_chance']->assumptions);
        self::assertSame(['0.8552 × 116.6 = 99.72.'], $why['expected_gain']->steps);
        self::assertSame(['e^(0 + 0.06 × 20) − 1 = 2.32.', 'To earn: 3.'], $why['links_to_earn']->steps);
        self::assertSame('keyword list', $why['visits_now']->inputs[0]->source);
        self::assertSame(['Position 12 lies in 6 to 20 and 20 is within 30: quick win.'], $why['horizon']->steps);
        self::assertSame(['(1 × 4 + 1 × 4 + 1 × 3) ÷ 3 = 3.667.'], $why['priority']->steps);
        self::assertCount(1, $why['comfort']->assumptions);
        self::assertSame([Tactic::RefreshPage->reason()], $why['tactic']->steps);
    }

    public function test_money_is_told_with_its_rates(): void
    {
        $why = $this->explain(12, 1100, 20.0);
        self::assertSame(['116.6 × 1.5 = 174.9 a month.'], $why['gain_value']->steps);
        self::assertSame(['116.6 × 0.02 = 2.332 conversions a month.'], $why['conversions']->steps);
        self::assertSame(['2.332 × 40 = 93.28 a month.'], $why['revenue']->steps);
    }

    public function test_money_of_an_unknown_gain_is_unknown_and_no_revenue_is_told_without_a_value(): void
    {
        $why = $this->explain(12, null, 20.0);
        self::assertSame(['unknown × 1.5 = unknown.'], $why['gain_value']->steps);
        self::assertArrayNotHasKey('revenue', $why);
    }

    public function test_the_unknown_is_said_to_be_unknown(): void
    {
        $why = $this->explain(null, null, null);
        self::assertSame(['We are absent, so no search ends at our site: 0.'], $why['visits_now']->steps);
        self::assertSame(['The volume is unknown, so this is too.'], $why['potential']->steps);
        self::assertSame(['The difficulty is unknown, so the chance is too.'], $why['win_chance']->steps);
        self::assertSame(['unknown × unknown = unknown.'], $why['expected_gain']->steps);
        self::assertSame([], $why['links_to_earn']->assumptions);
    }

    public function test_who_stands_at_the_target_aims_higher(): void
    {
        self::assertSame('We stand at 2, at or above the target of 3, so the aim is 1.', $this->explain(2, 100, 5.0)['gain']->steps[0]);
        self::assertSame(['We are on page one already: 1.'], $this->explain(2, 100, 5.0)['win_chance']->steps);
    }

    public function test_numbers_are_short(): void
    {
        self::assertSame(
            ['unknown', '0', '12', '0.008', '99.72', '0.000001', '1 234 568'],
            self::plain(array_map(Explanation::number(...), [null, 0.0, 12, 0.008, 99.7203, 0.000001, 1234567.8])),
        );
    }

    /** @return array<string, Explanation> */
    private function explain(?int $position, ?int $volume, ?float $difficulty): array
    {
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $model = WinModel::fit(new WinObservations([]), [[]], 1.0, $comfort);
        $facts = new FigureInputs(
            $position,
            $volume,
            'keyword list',
            $difficulty,
            'rankings',
            3,
            CtrCurve::default(),
            'default',
            $comfort,
            $model,
            new WinChance($model),
            LinksNeeded::fit([], []),
            null,
            0,
            new StrikingDistance(),
            0.35,
            Scores::of([...array_fill_keys(Criterion::names(), null), 'volume' => 4, 'ease' => 4, 'gain' => 3, 'intent' => 2]),
            Weights::plain(),
            Tactic::RefreshPage,
            1.5,
            'keyword list',
            0.02,
            $volume === null ? null : 40.0,
        );

        return (new Explainer($facts))->all();
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
