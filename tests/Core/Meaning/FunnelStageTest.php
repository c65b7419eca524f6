<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Meaning\FunnelStage;
use GreaterReach\Core\Meaning\Intent;
use PHPUnit\Framework\TestCase;

final class FunnelStageTest extends TestCase
{
    public function test_what_a_person_said_stands_before_the_intent(): void
    {
        self::assertSame(FunnelStage::Top, FunnelStage::of(FunnelStage::Top, Intent::Buy));
        self::assertSame(FunnelStage::Bottom, FunnelStage::of(null, Intent::Buy));
        self::assertSame(FunnelStage::Middle, FunnelStage::of(FunnelStage::Middle, Intent::Open));
        self::assertNull(FunnelStage::of(null, Intent::Open));
        self::assertNull(FunnelStage::of(null, null));
    }

    public function test_every_intent_tells_a_stage_or_none(): void
    {
        $told = array_map(static fn(Intent $intent): ?FunnelStage => FunnelStage::of(null, $intent), Intent::cases());
        self::assertSame([FunnelStage::Bottom, FunnelStage::Middle, FunnelStage::Top, null], $told);
    }
}
