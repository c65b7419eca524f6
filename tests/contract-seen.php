<?php

declare(strict_types=1);

// After a whole run: says which operations of the API's document no test got an answer from.
require __DIR__.'/../vendor/autoload.php';

$seen = array_unique((array) file(Tests\Contract::SEEN, FILE_IGNORE_NEW_LINES));
$missing = array_diff(Tests\Contract::shared()->promised(), $seen);
if ($missing !== []) {
    fwrite(STDERR, "Described, and answered in no test:\n  ".implode("\n  ", $missing)."\n");
    exit(1);
}
