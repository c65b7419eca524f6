<?php

declare(strict_types=1);

use Tests\StudyQueries;

// After a whole run: says which questions to the database look across studies though they belong to one.
require __DIR__.'/../vendor/autoload.php';

$seen = array_unique((array) file(StudyQueries::SEEN, FILE_IGNORE_NEW_LINES));
$across = [];
$ofStudies = 0;
$served = [];
foreach ($seen as $line) {
    [$asker, $statement] = explode("\t", (string) $line, 2);
    $ofStudies += StudyQueries::tables($statement) === [] ? 0 : 1;
    if (StudyQueries::keepsToOneStudy($statement)) {
        continue;
    }
    $allowed = array_filter(array_keys(StudyQueries::OF_THE_SERVER), static fn(string $file): bool => str_starts_with($asker, $file));
    if ($allowed === []) {
        $across[] = "{$asker}: {$statement}";
    }
    array_push($served, ...$allowed);
}
$idle = array_diff(array_keys(StudyQueries::OF_THE_SERVER), $served);
if ($across !== [] || $idle !== [] || $ofStudies < 500) {
    fwrite(STDERR, "Questions across studies:\n  ".implode("\n  ", $across)."\nAllowed to, and none does: ".implode(', ', $idle)."\n");
    fwrite(STDERR, "{$ofStudies} questions about studies were seen.\n");
    exit(1);
}
