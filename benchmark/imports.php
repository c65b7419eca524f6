<?php

declare(strict_types=1);

use App\Support\Tabular\Table;
use App\Support\Tabular\XlsxFile;
use Benchmark\Application;
use Benchmark\Measured;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Measured.php';
require __DIR__.'/Application.php';

$bench = Application::boot(8198);
$artisan = $bench->artisan(...);

/*
 * Imports alone: a large CSV beside psql \copy of the same file, a spreadsheet of 100,000 rows, and how long pages of
 * another study take while the large file comes in.
 */
$options = getopt('', ['imports', 'rows:', 'runs:']);
$rows = (int) ($options['rows'] ?? 1_000_000);
$runs = (int) ($options['runs'] ?? 3);
$row = static fn(int $number): array => [
    sprintf('some keyword number %07d of many', $number),
    1 + (crc32((string) $number) % 100),
    'https://domain-0.example/section-' . $number % 50 . '/page-' . intdiv($number, 12),
    10 * ($number % 997),
    ($number % 1000) / 10,
    ($number % 400) / 100,
];
$first = static function (int $count) use ($row): Generator {
    for ($number = 0; $number < $count; ++$number) {
        yield $row($number);
    }
};
[$csv, $small, $xlsx] = [$bench->folder.'/large.csv', $bench->folder.'/small.csv', $bench->folder.'/sheet.xlsx'];
Application::write($csv, $first($rows));
Application::write($small, $first(20_000));
(new XlsxFile())->write(new Table(['keyword', 'position', 'url', 'volume', 'difficulty', 'cpc'], $first(100_000)), $xlsx);

$artisan('reach:study', 'large', '--name=Large', '--domain=domain-0.example')->mustRun();
$artisan('reach:study', 'other', '--name=Other', '--domain=domain-0.example')->mustRun();
$day = 0;
$import = static function (string $path) use ($artisan, &$day): Process {
    return $artisan('reach:import', 'large', $path, '--kind=rankings', '--domain=domain-0.example', sprintf('--date=2026-10-%02d', ++$day));
};
$plain = Measured::process($runs, static fn(): Process => Application::plainCopy($csv));
$large = Measured::process($runs, static fn(): Process => $import($csv));
printf(
    "import CSV  %8s rows %6.2f s  %.1f × psql \\copy (%.2f s)  peak %d MB\n",
    number_format($rows),
    $large->seconds,
    $large->seconds / $plain->seconds,
    $plain->seconds,
    $large->megabytes,
);
$sheet = Measured::process($runs, static fn(): Process => $import($xlsx));
printf("import XLSX  100,000 rows %6.2f s  peak %d MB\n", $sheet->seconds, $sheet->megabytes);

$artisan('reach:import', 'other', $small, '--kind=rankings', '--domain=domain-0.example')->mustRun();
$artisan('reach:compare', 'other', '--out=' . $bench->folder . '/other.csv')->mustRun();
$bench->serve();
$client = $bench->client();
$ask = static fn() => $client->get(
    '/api/v1/studies/other/bench?' . http_build_query(['show' => 'volume>=100', 'sort' => 'gain', 'limit' => 200]),
);
$quiet = Measured::calls(60, $ask);
$busy = $import($csv);
$busy->start();
usleep(2_000_000);
$loaded = Measured::calls(60, $ask);
$busy->wait();
printf(
    "bench page of another study: p50 %d ms, p95 %d ms; while %s rows come in: p50 %d ms, p95 %d ms\n",
    $quiet->seconds * 1000,
    $quiet->slow * 1000,
    number_format($rows),
    $loaded->seconds * 1000,
    $loaded->slow * 1000,
);
$bench->stop();
