<?php

declare(strict_types=1);

namespace App\Support;

/** The code that runs: what is remembered as it is sent is not told by another release, whose answers may have another shape. */
final class Release
{
    /** @return string another one after every start and every upgrade, which read the settings once; '0' where they are read each time */
    public static function stamp(): string
    {
        $settings = app()->getCachedConfigPath();

        return is_file($settings) ? (string) filemtime($settings) : '0';
    }
}
