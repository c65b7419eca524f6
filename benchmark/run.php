<?php

declare(strict_types=1);

use Benchmark\Application;
use Benchmark\Measured;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Measured.php';
require __DIR__.'/Application.php';

$bench = Application::boot(8199);
$artisan = $bench->artisan(...);
$options = getopt('', ['rows:', 'domains:', 'runs:']);
$rows = (int) ($options['rows'] ?? 100_000);
$domains = (int) ($options['domains'] ?? 5);
$runs = (int) ($options['runs'] ?? 5);

$hosts = array_map(static fn (int $number): string => "domain-{$number}.example", range(0, $domains - 1));
$files = [];
foreach ($hosts as $number => $host) {
    $files[$host] = "{$bench->folder}/{$host}.csv";
    Application::write(
        $files[$host],
        (static function () use ($rows, $number, $host): Generator {
            for ($row = 0; $row < $rows; ++$row) {
                // Domains share most of their keywords, as competitors do.
                $keyword = $row + (int) ($number * $rows * 0.07);
                $draw = crc32($host . $keyword);
                yield [
                    sprintf('some keyword number %06d of many', $keyword),
                    1 + ($draw % 100),
                    "https://{$host}/section-" . $keyword % 50 . '/page-' . intdiv($keyword, 12),
                    10 * ($keyword % 997),
                    ($keyword % 1000) / 10,
                    ($keyword % 400) / 100,
                ];
            }
        })(),
    );
}
$artisan(
    'reach:study',
    'bench',
    '--name=Bench',
    '--domain=' . $hosts[0],
    ...array_map(static fn(string $host): string => '--competitor=' . $host, array_slice($hosts, 1)),
)->mustRun();

printf(
    "%s rows per domain, %d domains, medians of %d, PHP %s, %d processors\n\n",
    number_format($rows),
    $domains,
    $runs,
    PHP_VERSION,
    (int) shell_exec('nproc'),
);

$import = static fn(string $host, string $day = '2026-11-01', string $study = 'bench'): Process => $artisan(
    'reach:import',
    $study,
    $files[$host],
    '--kind=rankings',
    '--domain=' . $host,
    '--date=' . $day,
);
$plain = Measured::process($runs, static fn(): Process => Application::plainCopy($files[$hosts[0]]));
// A study apart, so that the comparison below meets one snapshot per domain; every run adds one of its own day, so that none has another
// to replace.
$artisan('reach:study', 'imports', '--name=Imports', '--domain=' . $hosts[0])->mustRun();
$day = 0;
$imported = Measured::process($runs, static function () use ($import, $hosts, &$day): Process {
    return $import($hosts[0], sprintf('2026-11-%02d', ++$day), 'imports');
});
printf(
    "import      %6.2f s  %s rows/s  %.1f × psql \\copy (%.2f s)  peak %d MB\n",
    $imported->seconds,
    number_format($rows / $imported->seconds),
    $imported->seconds / $plain->seconds,
    $plain->seconds,
    $imported->megabytes,
);
foreach ($hosts as $host) {
    $import($host)->mustRun();
}

$turn = 0;
$compared = Measured::process($runs, static function () use ($artisan, &$turn): Process {
    // A changed rulebook makes every run compute the comparison anew.
    $artisan('reach:rulebook', 'bench', '--set=seed=' . ++$turn)->mustRun();

    return $artisan('reach:compare', 'bench', '--out=' . base_path('var/bench/compare.csv'));
});
$weighed = Measured::process($runs, static fn(): Process => $artisan('reach:weigh', 'bench', '--out=' . base_path('var/bench/weigh.csv')));
printf(
    "compare     %6.2f s  %s rankings/s  peak %d MB (compared and weighed into the database)\n",
    $compared->seconds,
    number_format(($rows * $domains) / $compared->seconds),
    $compared->megabytes,
);
printf("weigh       %6.2f s  (order and write the export of what is there)\n", $weighed->seconds);

$bench->serve();
$client = $bench->client();
$show = 'standing=gap,behind;competitors>=2@20;volume>=100;brands=hide';
foreach (
    ['bench' => ['sort' => 'gain'], 'bench/summary' => [], 'bench/distribution' => ['field' => 'volume'], 'opportunities' => []]
    as $path => $query
) {
    $asked = Measured::calls(
        max(20, $runs),
        static fn() => $client->get("/api/v1/studies/bench/{$path}?" . http_build_query(['show' => $show, 'limit' => 200, ...$query])),
    );
    printf("%-20s p50 %4d ms  p95 %4d ms\n", $path, $asked->seconds * 1000, $asked->slow * 1000);
}
$bench->stop();
