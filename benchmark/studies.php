<?php

declare(strict_types=1);

use Benchmark\Application;
use Benchmark\Measured;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Measured.php';
require __DIR__.'/Application.php';

$bench = Application::boot(8195);
$artisan = $bench->artisan(...);
$options = getopt('', ['studies::', 'studies-count:', 'keywords:']);
$studies = (int) ($options['studies-count'] ?? 5000);
$keywords = (int) ($options['keywords'] ?? 300_000);
$make = static function (string $prefix, int $count, int $keywords): Process {
    $process = new Process(
        ['php', 'benchmark/make-studies.php', $prefix, (string) $count, (string) $keywords],
        base_path(),
        ['APP_ENV' => 'bench'],
        null,
        7200,
    );
    $process->start();

    return $process;
};
$slowest = static fn(Process $process): float => $process->wait() === 0
    ? (float) $process->getOutput()
    : throw new RuntimeException($process->getErrorOutput() . $process->getOutput());

$slowest($make('small', 10, 200));
$bench->serve();
$client = $bench->client();
$page = static fn () => $client->get('/api/v1/studies/small-3/bench?limit=200&sort=gain');
$list = static fn () => $client->get('/api/v1/studies');
$few = [Measured::calls(60, $page), Measured::calls(60, $list)];

foreach ([0, 1] as $domain) {
    $csv = "{$bench->folder}/large-{$domain}.csv";
    Application::write(
        $csv,
        (static function () use ($domain, $keywords): Generator {
            for ($row = 0; $row < $keywords; ++$row) {
                yield [
                    sprintf('some keyword number %06d', $row),
                    1 + (crc32($domain . ' ' . $row) % 100),
                    "https://domain-{$domain}.example/page-" . intdiv($row, 12),
                    10 * ($row % 997),
                    ($row % 1000) / 10,
                    ($row % 400) / 100,
                ];
            }
        })(),
    );
    $domain === 0 &&
        $artisan('reach:study', 'large', '--name=Large', '--domain=domain-0.example', '--competitor=domain-1.example')->mustRun();
    $artisan('reach:import', 'large', $csv, '--kind=rankings', "--domain=domain-{$domain}.example", '--date=2026-11-01')->mustRun();
}
$comparing = $artisan('reach:compare', 'large', '--out=' . $bench->folder . '/large.csv');
$comparing->start();
sleep(3);
$makers = array_map(static fn(int $number): Process => $make("beside-{$number}", 50, 0), range(0, 3));
$waits = array_map($slowest, $makers);
printf(
    "4 × 50 studies while %s keywords are compared (%s): the slowest took %.2f s\n",
    number_format($keywords),
    $comparing->isRunning() ? 'still at it afterwards' : 'over by then',
    max($waits),
);
$comparing->wait() === 0 || throw new RuntimeException($comparing->getErrorOutput());

$halves = [intdiv($studies, 2), $studies - intdiv($studies, 2)];
$fillers = array_map(static fn (int $half, int $count): Process => $make("many-{$half}", $count, 200), array_keys($halves), $halves);
$waits = array_map($slowest, $fillers);
$dump = new Process(['pg_dump', '-f', '/dev/null', (string) getenv('PGDATABASE')], null, null, null, 900);
$since = microtime(true);
$dump->mustRun();
$dumped = microtime(true) - $since;
printf(
    "%s studies of 200 keywords: %d relations, pg_dump %.1f s, slowest study made in %.2f s\n",
    number_format($studies),
    DB::selectOne('SELECT count(*) AS count FROM pg_class')->count,
    $dumped,
    max($waits),
);
$many = [Measured::calls(60, $page), Measured::calls(60, $list)];
foreach (['bench page', 'list of studies'] as $number => $what) {
    printf(
        "%-16s p50 %3d ms with ten studies, %3d ms now: %.2f ×\n",
        $what,
        1000 * $few[$number]->seconds,
        1000 * $many[$number]->seconds,
        $many[$number]->seconds / $few[$number]->seconds,
    );
}
$bench->stop();
