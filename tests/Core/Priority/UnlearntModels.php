<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PositionGroups;
use GreaterReach\Core\Winning\PositionModel;

/** The models of a study that has taught nothing: all of them assumed. */
final class UnlearntModels
{
    public static function of(): Models
    {
        return new Models(
            CtrCurve::default(),
            ComfortDifficulty::fromDifficulties([]),
            self::positions(),
            LinksNeeded::fit([], []),
            Effects::learn(0, 0.0),
        );
    }

    public static function positions(): PositionModel
    {
        return PositionModel::learn(new PositionGroups([], [], false), 1.0, ComfortDifficulty::fromDifficulties([]), null);
    }
}
