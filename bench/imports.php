<?php

declare(strict_types=1);

use App\Models\User;
use App\Support\Tabular\Table;
use App\Support\Tabular\XlsxFile;
use Bench\Measured;
use Illuminate\Contracts\Console\Kernel;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Measured.php';

$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

/*
 * Imports alone: a large CSV beside psql \copy of the same file, a spreadsheet of 100,000 rows, and how long pages of
 * another study take while the large file comes in.
 */
$options = getopt('', ['imports', 'rows:', 'runs:']);
$rows = (int) ($options['rows'] ?? 1_000_000);
$runs = (int) ($options['runs'] ?? 3);
$folder = base_path('var/bench');
$row = static fn (int $number): array => [sprintf('some keyword number %07d of many', $number), 1 + crc32((string) $number) % 100, 'https://domain-0.example/section-'.($number % 50).'/page-'.intdiv($number, 12), 10 * ($number % 997), $number % 1000 / 10, $number % 400 / 100];
$headings = ['keyword', 'position', 'url', 'volume', 'difficulty', 'cpc'];
$csv = $folder.'/large.csv';
$file = fopen($csv, 'wb');
fwrite($file, implode(',', $headings)."\n");
for ($number = 0; $number < $rows; ++$number) {
    fwrite($file, implode(',', $row($number))."\n");
}
fclose($file);
$xlsx = $folder.'/sheet.xlsx';
(new XlsxFile())->write(new Table($headings, (static function () use ($row): Generator {
    for ($number = 0; $number < 100_000; ++$number) {
        yield $row($number);
    }
})()), $xlsx);

$artisan = static fn (string ...$arguments): Process => new Process(['php', ...Measured::AS_THE_WORKER, 'artisan', ...$arguments], base_path(), ['APP_ENV' => 'bench'], null, 1800);
$artisan('reach:study', 'large', '--name=Large', '--domain=domain-0.example')->mustRun();
$artisan('reach:study', 'other', '--name=Other', '--domain=domain-0.example')->mustRun();
$day = 0;
$import = static function (string $path) use ($artisan, &$day): Process {
    return $artisan('reach:import', 'large', $path, '--kind=rankings', '--domain=domain-0.example', sprintf('--date=2026-10-%02d', ++$day));
};
$copy = new Process(['psql', '-q', '-c', 'CREATE UNLOGGED TABLE IF NOT EXISTS plain (keyword text, position int, url text, volume int, difficulty float8, cpc numeric)', '-c', 'TRUNCATE plain', '-c', "\\copy plain FROM '{$csv}' CSV HEADER"]);
$plain = Measured::process($runs, static fn (): Process => $copy);
$large = Measured::process($runs, static fn (): Process => $import($csv));
printf("import CSV  %8s rows %6.2f s  %.1f × psql \\copy (%.2f s)  peak %d MB\n", number_format($rows), $large->seconds, $large->seconds / $plain->seconds, $plain->seconds, $large->megabytes);
$sheet = Measured::process($runs, static fn (): Process => $import($xlsx));
printf("import XLSX  100,000 rows %6.2f s  peak %d MB\n", $sheet->seconds, $sheet->megabytes);

$small = $folder.'/small.csv';
file_put_contents($small, implode('', array_slice(file($csv), 0, 20_001)));
$artisan('reach:import', 'other', $small, '--kind=rankings', '--domain=domain-0.example')->mustRun();
$artisan('reach:compare', 'other', '--out='.$folder.'/other.csv')->mustRun();
User::query()->firstOrCreate(['email' => 'bench@domain-0.example'], ['name' => 'Bench', 'password' => 'bench', 'is_administrator' => true]);
$server = new Process(['php', '-S', '127.0.0.1:8198', base_path('vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php')], public_path(), ['APP_ENV' => 'bench'], null, null);
$server->disableOutput()->start();
usleep(800_000);
$client = new GuzzleHttp\Client(['base_uri' => 'http://127.0.0.1:8198', 'cookies' => true, 'headers' => ['Accept' => 'application/json']]);
$client->get('/sign-in');
$token = urldecode((string) $client->getConfig('cookies')->getCookieByName('XSRF-TOKEN')?->getValue());
$client->post('/api/v1/session', ['json' => ['email' => 'bench@domain-0.example', 'password' => 'bench'], 'headers' => ['X-XSRF-TOKEN' => $token]]);
$ask = static fn () => $client->get('/api/v1/studies/other/bench?'.http_build_query(['show' => 'volume>=100', 'sort' => 'gain', 'limit' => 200]));
$quiet = Measured::calls(60, $ask);
$busy = $import($csv);
$busy->start();
usleep(2_000_000);
$loaded = Measured::calls(60, $ask);
$busy->wait();
printf("bench page of another study: p50 %d ms, p95 %d ms; while %s rows come in: p50 %d ms, p95 %d ms\n", $quiet->seconds * 1000, $quiet->slow * 1000, number_format($rows), $loaded->seconds * 1000, $loaded->slow * 1000);
$server->stop(1);
