<?php

declare(strict_types=1);

// tests/failed-tests.php JUNIT: tells which tests failed and how; and, when they are few, prints a filter for them. Exits with 1 when many
// did, or nothing was written.
const MOST = 3;

$report = is_file($argv[1]) ? simplexml_load_file($argv[1]) : false;
$failed = [];
foreach ((array) ($report === false ? [] : $report->xpath('//testcase[failure or error]')) as $case) {
    fwrite(STDERR, "\n{$case->failure}{$case->error}\n");
    $failed[] = preg_quote("{$case['class']}::".preg_replace('/ with data set .*$/s', '', (string) $case['name']), '~');
}
$failed = array_unique($failed);
if ($failed === [] || count($failed) > MOST) {
    exit(1);
}
echo '~^('.implode('|', $failed).')( |$)~';
