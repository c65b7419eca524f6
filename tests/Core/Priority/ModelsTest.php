<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PositionGroups;
use GreaterReach\Core\Winning\PositionModel;
use PHPUnit\Framework\TestCase;

final class ModelsTest extends TestCase
{
    public function test_what_was_learnt_is_the_same_when_it_was_written_and_read(): void
    {
        mt_srand(2);
        $groups = new PositionGroups([10.0, 35.5, 80.0], [38.0, 50.0], true);
        for ($row = 0; $row < 500; ++$row) {
            $groups->add($row % 3, $row % 2, mt_rand(1, 99), mt_rand(0, 16), mt_rand(1, 7), $row % 5);
        }
        $comfort = ComfortDifficulty::fromDifficulties(array_map(floatval(...), range(1, 29)));
        $models = new Models(
            CtrCurve::queryLog2006(),
            $comfort,
            PositionModel::learn($groups, 1.0, $comfort, 38.0)->judged($groups, 1.0, $comfort),
            LinksNeeded::fit([], []),
            Effects::learn(3, -.4),
            ['00ff00ff00ff00ff'],
        );
        $kept = json_decode((string) json_encode($models->toArray(), JSON_PRESERVE_ZERO_FRACTION), true);
        self::assertIsArray($kept);
        self::assertEquals($models, Models::fromArray($kept));
        self::assertNull(Models::fromArray(['keywords' => 3]));
    }

    public function test_the_difficulty_at_a_chance_is_where_the_chance_is_just_that(): void
    {
        $models = UnlearntModels::of();
        $at = static fn(float $difficulty): float => $models->positions
            ->chances($difficulty, Ground::none(), Models::TYPICAL_VOLUME, $models->effects->new->mean())->upTo(10);
        foreach ([.7, .5, .25, .1] as $chance) {
            $difficulty = $models->difficultyAt($chance, 10);
            self::assertNotNull($difficulty);
            self::assertEqualsWithDelta($chance, $at($difficulty), 1e-9);
        }
        self::assertNull($models->difficultyAt(.99, 10), 'No difficulty from 0 on is that easy.');
        self::assertNull($models->difficultyAt(1e-6, 10), 'None up to 100 is that hard.');
        self::assertEqualsWithDelta(.5, $models->difficultyAt($at(.5), 10), 1e-6);
        self::assertEqualsWithDelta(99.5, $models->difficultyAt($at(99.5), 10), 1e-6);
        self::assertNull($models->difficultyAt($at(100.5), 10));
    }

    public function test_a_tactic_is_read_as_it_is_written(): void
    {
        foreach (Tactic::cases() as $tactic) {
            foreach (TacticLabel::spellings($tactic) as $number => $text) {
                self::assertEquals(TacticLabel::of($tactic, $number === 1), TacticLabel::parse($text));
            }
        }
        $this->expectExceptionMessage('is unknown');
        TacticLabel::parse('improve page +links');
    }
}
