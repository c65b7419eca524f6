<?php

declare(strict_types=1);

use StandIn\MarketData;
use StandIn\MonthStore;

/*
 * Draws every month of the made-up market that can be asked for, once, so that the service only reads: php stand-in/ready.php
 * Environment: STAND_IN_FOLDER and, for tests, STAND_IN_TODAY and STAND_IN_SUBJECTS, as the service itself takes them.
 */
require __DIR__.'/../vendor/autoload.php';

ini_set('memory_limit', '512M');
$setting = static fn(string $name, string $default): string => getenv($name) ?: $default;
$folder = $setting('STAND_IN_FOLDER', sys_get_temp_dir().'/stand-in');
is_dir($folder) || mkdir($folder, 0o755, true);
$market = new MarketData(new MonthStore($folder), array_values(array_filter(explode(',', $setting('STAND_IN_SUBJECTS', '')))));
printf("%d months are ready.\n", $market->makeReady($setting('STAND_IN_TODAY', gmdate('Y-m-d'))));
