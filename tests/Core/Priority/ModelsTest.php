<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\DomainFeature;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\TestCase;

final class ModelsTest extends TestCase
{
    public function test_what_was_learnt_is_the_same_when_it_was_written_and_read(): void
    {
        $observations = new WinObservations([0, 1]);
        foreach (range(1, 60) as $number) {
            $observations->add((float) $number, [$number < 30 ? 3 : null, $number % 3 === 0 ? 9 : 40]);
        }
        $comfort = ComfortDifficulty::fromDifficulties(array_map(floatval(...), range(1, 29)));
        $models = new Models(
            CtrCurve::queryLog2006(),
            $comfort,
            WinModel::fit($observations, [['authority' => 38.0], ['authority' => 50.0]], 1.0, $comfort),
            LinksNeeded::fit([], []),
        );
        $kept = json_decode((string) json_encode($models->toArray()), true);
        self::assertIsArray($kept);
        self::assertEquals($models, Models::fromArray($kept, DomainFeature::figures(['authority' => 38.0])));
        self::assertNull(Models::fromArray(['keywords' => 3], []));
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

    public function test_another_keyword_of_the_topic_has_a_page_of_ours(): void
    {
        self::assertFalse(TacticRule::hasPageForAnother(0, null));
        self::assertTrue(TacticRule::hasPageForAnother(1, null));
        self::assertTrue(TacticRule::hasPageForAnother(1, 51));
        self::assertFalse(TacticRule::hasPageForAnother(1, 50));
        self::assertTrue(TacticRule::hasPageForAnother(2, 1));
    }
}
