<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Scoring;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\TestCase;

final class ScoringTest extends TestCase
{
    /** By the table of intents: buy 5, compare 4, learn and open 2. */
    public function test_an_intent_has_its_score_and_what_is_unknown_has_none(): void
    {
        $scoring = new Scoring(Rulebook::standard()->weighing());
        $scores = static fn(Intent $intent): array => $scoring->of(null, null, null, null, null, null, $intent, null)->toArray();
        self::assertSame(
            ['buy' => 5.0, 'compare' => 4.0, 'learn' => 2.0, 'open' => 2.0],
            array_map(floatval(...), array_combine(
                ['buy', 'compare', 'learn', 'open'],
                array_map(
                    static fn(Intent $intent): ?float => $scores($intent)['intent'],
                    [Intent::Buy, Intent::Compare, Intent::Learn, Intent::Open],
                ),
            )),
        );
        self::assertSame(['intent'], array_keys(array_filter($scores(Intent::Buy), static fn(mixed $one): bool => $one !== null)));
        self::assertEquals(4, $scoring->of(null, null, null, null, null, null, Intent::Open, 4)->toArray()['fit']);
    }
}
