<?php

declare(strict_types=1);

/**
 * Changes rules a little, one change at a time, and looks whether a test notices: how many of a random sample are noticed, and which are
 * not. `bin/mutants` calls it with the copies in which the changes are made; nothing of the checkout is touched.
 */

use Tests\Mutants\Copy;
use Tests\Mutants\Hunt;
use Tests\Mutants\Mutant;
use Tests\Mutants\MutantFinder;

require __DIR__.'/../../vendor/autoload.php';

/** Tests of how the source looks, of documents and of the whole of all answers notice nothing that a rule does. */
const NOT_OF_RULES = '/(SourceShape|CoreBorders|AppFloors|Documents|StudyQueries)Test/';

/** So many are tried without a change before and after all others, which nobody must notice. */
const BLANKS = 8;

[, $work, $sample, $seed, $only, $part] = $argv;
$root = dirname(__DIR__, 2);
$suite = str_starts_with($only, 'core') ? 'Core' : 'Feature';
$tests = [];
foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("{$root}/tests/{$suite}", FilesystemIterator::SKIP_DOTS)) as $file) {
    $test = substr((string) $file, strlen($root) + 1);
    if (str_ends_with($test, 'Test.php') && str_contains($test, $part) && preg_match(NOT_OF_RULES, $test) !== 1) {
        $tests[] = $test;
    }
}
sort($tests);
$copies = array_map(static fn(string $folder): Copy => new Copy($folder), glob("{$work}/copy-*") ?: []);
// What is in a copy, and not what somebody is writing in the checkout.
$all = MutantFinder::below($copies[0]->folder, $only);
mt_srand((int) $seed);
$chosen = array_map(
    static fn(int|string $place): Mutant => $all[$place],
    (array) array_rand($all, min((int) $sample, count($all))),
);
$hunt = new Hunt($copies, $tests, $suite === 'Core' ? 60 : 600, $suite === 'Core');
fwrite(STDERR, sprintf("Looking which of %d files of tests run through which lines\n", count($tests)));
$hunt->look(explode('/', $only)[0]);
foreach ($hunt->failing as $test) {
    fwrite(STDERR, "Fails in a copy, and is left out: {$test}\n");
}
file_put_contents("{$root}/var/mutants-failing.log", $hunt->last);
$blanks = [];
for ($place = 0; $place < count($chosen); $place += max(1, intdiv(count($chosen), BLANKS))) {
    $blanks[] = $chosen[$place]->blank();
}
$probe = static function () use ($hunt, $blanks): void {
    [$noticed, $survivors] = [$hunt->noticed, $hunt->survivors];
    $hunt->hunt($blanks, static function (): void {
        fwrite(STDERR, '.');
    });
    if ($hunt->noticed > $noticed) {
        $false = $hunt->noticed - $noticed;
        fwrite(STDERR, sprintf("\n%d of %d noticed where nothing was changed.\n%s\n", $false, count($blanks), $hunt->last));
        exit(2);
    }
    $hunt->survivors = $survivors;
};
$probe();
$hunt->hunt($chosen, static function (int $done, int $unnoticed) use ($chosen, $hunt): void {
    static $told = 0;
    foreach (array_slice($hunt->survivors, $told) as $survivor) {
        fwrite(STDERR, "\r{$survivor}\n");
    }
    $told = $unnoticed;
    fwrite(STDERR, sprintf("\r%d of %d, %d not noticed", $done, count($chosen), $unnoticed));
});
fwrite(STDERR, "\n");
$probe();
sort($hunt->survivors);
echo implode("\n", $hunt->survivors), "\n";
$share = $hunt->noticed / max(1, count($chosen));
printf(
    "%d of %d changes noticed (%.1f %%), %d of them by no end; %d could be made.\n",
    $hunt->noticed,
    count($chosen),
    100 * $share,
    $hunt->endless,
    count($all),
);
exit($share >= ($suite === 'Core' ? 0.9 : 0.75) ? 0 : 1);
