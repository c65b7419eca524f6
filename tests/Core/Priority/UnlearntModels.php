<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effect;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PositionGroups;
use GreaterReach\Core\Winning\PositionModel;

/** The models of a study that has taught nothing: all of them assumed. */
final class UnlearntModels
{
    /** @param float $effect 0…1 */
    public static function of(float $effect = .5): Models
    {
        return new Models(
            CtrCurve::default(),
            ComfortDifficulty::fromDifficulties([]),
            self::positions(),
            LinksNeeded::fit([], []),
            Effect::assumed($effect),
        );
    }

    public static function positions(): PositionModel
    {
        return PositionModel::learn(new PositionGroups([], [], false), true, 1.0, ComfortDifficulty::fromDifficulties([]), null);
    }
}
