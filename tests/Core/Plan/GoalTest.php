<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\GoalAnswer;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Winning\Effects;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class GoalTest extends TestCase
{
    private const DRAWS = 400;

    #[TestWith([20.0])]
    #[TestWith([150.0])]
    #[TestWith([400.0])]
    public function test_the_smallest_capacity_is_found_that_reaches_it(float $visits): void
    {
        $answer = self::search($visits);
        self::assertTrue($answer->isReached);
        self::assertGreaterThanOrEqual(.8, $answer->share);
        self::assertGreaterThanOrEqual($visits, $answer->reached);
        for ($capacity = .5; $capacity < $answer->capacity; $capacity += .5) {
            self::assertLessThan(.8, self::shareAt($capacity, $visits), "With {$capacity} days it was reached before.");
        }
        self::assertSame($answer->share, self::shareAt($answer->capacity, $visits));
    }

    public function test_what_is_never_a_candidate_can_be_left_out_of_the_search(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(5));
        $work = [];
        for ($rank = 0; $rank < 1500; ++$rank) {
            // Many are of equal worth, so that ties count.
            $effort = $random->getInt(1, 24) / 4;
            $work[] = new WorkItem("page {$rank}", $effort, $effort * $random->getInt(0, 30));
        }
        $some = AutoPlan::everCandidates($work);
        self::assertLessThan(1300, \count($some));
        foreach ([.5, 1.5, 2.0, 5.5, 20.0] as $capacity) {
            self::assertEquals((new AutoPlan(3, $capacity))->place($work), (new AutoPlan(3, $capacity))->place($some));
        }
    }

    public function test_what_is_out_of_reach_is_told_with_what_can_be_reached(): void
    {
        $answer = self::search(1e6);
        self::assertFalse($answer->isReached);
        self::assertSame([60.0, 0.0], [$answer->capacity, $answer->share]);
        self::assertGreaterThan(0.0, $answer->reached);
        self::assertTrue(self::search($answer->reached)->isReached, 'What it says can be reached can be.');
    }

    public function test_what_is_on_the_roadmap_counts_and_takes_its_days(): void
    {
        $goal = new Goal(400.0, Month::parse('2027-05'));
        $start = Month::parse('2026-12');
        $committed = self::promise([new Placement(new WorkItem('on the roadmap', 2.0, 400.0), 0, 0)]);
        $alone = self::search(400.0);
        $helped = $goal->search(self::work(), $start, self::forecast(), self::promise(...), $committed);
        self::assertLessThan($alone->capacity, $helped->capacity, 'It brings part of the goal.');
        $busy = $goal->search(self::work(), $start, self::forecast(), self::promise(...), [], [0 => 2.0, 1 => 2.0, 2 => 2.0]);
        self::assertGreaterThan($alone->capacity, $busy->capacity, 'Its days are gone.');
        $inFirst = array_filter($busy->placements, static fn(Placement $one): bool => $one->ends === 0);
        $days = array_sum(array_map(static fn(Placement $one): float => $one->item->units() / 2, $inFirst));
        self::assertLessThanOrEqual($busy->capacity - 2.0, $days);
    }

    public function test_without_work_nothing_is_reached(): void
    {
        $answer = (new Goal(5, Month::parse('2027-03')))->search([], Month::parse('2026-12'), self::forecast(), static fn(): array => []);
        self::assertEquals(new GoalAnswer(60.0, [], 0.0, 0.0, false), $answer);
    }

    #[TestWith([0.0, .8])]
    #[TestWith([5.0, 0.0])]
    #[TestWith([5.0, 1.0])]
    public function test_a_goal_must_be_one(float $visits, float $odds): void
    {
        $this->expectException(InvalidArgument::class);
        new Goal($visits, Month::parse('2027-03'), $odds);
    }

    public function test_a_goal_may_be_less_than_a_visit_and_lie_in_the_first_month(): void
    {
        self::assertSame(.5, (new Goal(.5, Month::parse('2027-03'), .999))->visits);
        $first = (new Goal(.5, Month::parse('2026-12')))
            ->search(self::work(), Month::parse('2026-12'), self::forecast(), self::promise(...));
        self::assertFalse($first->isReached, 'Nothing pays in the month in which it is done.');
    }

    public function test_a_goal_does_not_lie_before_the_plan(): void
    {
        $this->expectException(InvalidArgument::class);
        (new Goal(5, Month::parse('2026-11')))->search(self::work(), Month::parse('2026-12'), self::forecast(), self::promise(...));
    }

    private static function search(float $visits): GoalAnswer
    {
        return (new Goal($visits, Month::parse('2027-05')))
            ->search(self::work(), Month::parse('2026-12'), self::forecast(), self::promise(...));
    }

    private static function shareAt(float $capacity, float $visits): float
    {
        $placements = (new AutoPlan(6, $capacity))->place(self::work());
        $totals = self::forecast()->totals(self::promise($placements), Month::parse('2027-05'));

        return \count(array_filter($totals, static fn(float $total): bool => $total >= $visits)) / self::DRAWS;
    }

    /** @return list<WorkItem> */
    private static function work(): array
    {
        return array_map(static fn(int $number): WorkItem => new WorkItem("page {$number}", 1 + $number % 4, 5.0 + $number), range(1, 60));
    }

    /**
     * @param list<Placement> $placements
     *
     * @return list<ForecastItem>
     */
    private static function promise(array $placements): array
    {
        return array_map(static fn(Placement $one): ForecastItem => new ForecastItem(
            $one->item->name,
            PlaceGains::title(4 * $one->item->expectedGain, .25),
            Season::steady(),
            Month::parse('2026-12')->plus($one->ends),
            2,
        ), $placements);
    }

    private static function forecast(): Forecast
    {
        return new Forecast(self::DRAWS, .3, 5, Effects::learn(0, 0.0));
    }
}
