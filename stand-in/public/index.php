<?php

declare(strict_types=1);

use StandIn\MarketData;
use StandIn\Misbehaviour;
use StandIn\MonthStore;
use StandIn\Service;
use StandIn\Throttle;

/*
 * Started on loopback by bin/start and by the tests: php -S 127.0.0.1:PORT stand-in/public/index.php
 * Environment: STAND_IN_KEY, STAND_IN_FOLDER (what it remembers), STAND_IN_PER_SECOND; for tests STAND_IN_TODAY and
 * STAND_IN_SUBJECTS (some of the vocabulary, separated by commas).
 */
require __DIR__.'/../../vendor/autoload.php';

ini_set('memory_limit', '512M');
$setting = static fn(string $name, string $default): string => getenv($name) ?: $default;
$folder = $setting('STAND_IN_FOLDER', sys_get_temp_dir().'/stand-in');
is_dir($folder) || mkdir($folder, 0o755, true);
$service = new Service(
    new MarketData(new MonthStore($folder), array_values(array_filter(explode(',', $setting('STAND_IN_SUBJECTS', ''))))),
    $setting('STAND_IN_KEY', bin2hex(random_bytes(16))),
    new Throttle($folder.'/throttle', (int) $setting('STAND_IN_PER_SECOND', '200')),
    new Misbehaviour($folder.'/misbehaviour'),
    $setting('STAND_IN_TODAY', gmdate('Y-m-d')),
);
$sent = static fn(string $name): string => is_string($_SERVER[$name] ?? null) ? $_SERVER[$name] : '';
/** @var array<string, mixed> $query */
$query = $_GET;
$answer = $service->answer(
    $sent('REQUEST_METHOD'),
    (string) parse_url($sent('REQUEST_URI'), PHP_URL_PATH),
    $query,
    $sent('HTTP_AUTHORIZATION'),
    (string) file_get_contents('php://input'),
);
if ($answer === null) {
    // A length that is never reached: the connection ends half-way.
    header('Content-Length: 100000');
    echo '{"keyword": "cut';
    exit;
}
http_response_code($answer->status);
foreach ($answer->headers as $name => $value) {
    header($name.': '.$value);
}
header('Content-Length: '.strlen($answer->body));
// In pieces, so that whoever waits sees that more is coming.
foreach (str_split($answer->body, 32_768) as $piece) {
    echo $piece;
    flush();
}
