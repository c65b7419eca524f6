<?php

declare(strict_types=1);

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOptions;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Models\Study;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';

/*
 * Makes studies, one after the other, and prints the seconds of the slowest: php benchmark/make-studies.php PREFIX COUNT [KEYWORDS]
 * With keywords each is filled with a list of them and compared.
 */
[, $prefix, $count, $keywords] = $argv + [3 => '0'];
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$slowest = 0.0;
for ($number = 0; $number < (int) $count; ++$number) {
    $since = microtime(true);
    $study = app(SaveStudy::class)->execute(
        new StudyDraft("{$prefix}-{$number}", "{$prefix} {$number}", 'domain-0.example', ['domain-1.example']),
    );
    $slowest = max($slowest, microtime(true) - $since);
    if ((int) $keywords > 0) {
        $path = tempnam(sys_get_temp_dir(), 'bench-');
        file_put_contents(
            $path,
            "keyword,position,url,volume,difficulty\n" .
                implode(
                    '',
                    array_map(
                        static fn(int $row): string => sprintf(
                            "keyword %d of %s %d,%d,https://domain-0.example/page-%d,%d,%d\n",
                            $row,
                            $prefix,
                            $number,
                            1 + ($row % 100),
                            intdiv($row, 8),
                            10 * $row,
                            $row % 100,
                        ),
                        range(1, (int) $keywords),
                    ),
                ),
        );
        app(ImportFile::class)->execute(
            new ImportOptions($study->load('domains'), ImportKind::Rankings, $path, 'list.csv', '2026-11-01', $study->ownDomain()),
        );
        unlink($path);
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy(Study::query()->with('domains')->findOrFail($study->id)));
    }
}
printf("%.3f\n", $slowest);
