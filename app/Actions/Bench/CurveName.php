<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use GreaterReach\Core\Clicks\CtrCurve;

/** What the CTR curve in use is called, also where it was chosen by itself. */
final class CurveName
{
    /** @param string $setting of the rulebook */
    public static function of(string $setting, CtrCurve $inUse): string
    {
        return match (true) {
            $setting !== 'auto' => $setting,
            $inUse->rates() === CtrCurve::default()->rates() => 'default',
            default => 'fitted',
        };
    }
}
