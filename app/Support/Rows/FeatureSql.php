<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\FeatureClicks;

/** The share of clicks that features of a results page leave, as SQL over a row's features. `FeatureClicks` is the rule. */
final class FeatureSql
{
    /** @param string $column features separated by semicolons, as a row keeps them */
    public static function shareLeft(FeatureClicks $clicks, string $column): string
    {
        $factors = ['1.0'];
        foreach ($clicks->factors as $feature => $share) {
            $name = "';".str_replace("'", "''", (string) $feature).";'";
            $factors[] = "CASE WHEN strpos(';' || {$column} || ';', {$name}) > 0 THEN ".Figures::exact($share).' ELSE 1.0 END';
        }

        return '('.implode(' * ', $factors).')::float8';
    }
}
