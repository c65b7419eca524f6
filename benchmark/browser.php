<?php

declare(strict_types=1);

use Benchmark\Application;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use Symfony\Component\Process\Process;

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Application.php';

/*
 * What a person meets in the browser: the time until the first row of the bench stands, and frames a second while all
 * of a list of 20,000 keywords is scrolled through. Headless Chromium, 1280 by 800.
 */
const KEYWORDS = 20_000;
const SECONDS = 20;

$bench = Application::boot(8197);
$bench
    ->artisan(
        'reach:study',
        'browser',
        '--name=Browser',
        '--domain=domain-0.example',
        '--competitor=domain-1.example',
        '--competitor=domain-2.example',
    )
    ->mustRun();
foreach (range(0, 2) as $domain) {
    $csv = "{$bench->folder}/browser-{$domain}.csv";
    Application::write(
        $csv,
        (static function () use ($domain): Generator {
            for ($number = 0; $number < KEYWORDS; ++$number) {
                yield [
                    sprintf('some keyword number %05d', $number),
                    1 + (crc32($domain . ' ' . $number) % 100),
                    "https://domain-{$domain}.example/page-" . intdiv($number, 12),
                    10 * ($number % 997),
                    ($number % 1000) / 10,
                    ($number % 400) / 100,
                ];
            }
        })(),
    );
    $bench
        ->artisan('reach:import', 'browser', $csv, '--kind=rankings', "--domain=domain-{$domain}.example", '--date=2026-11-01')
        ->mustRun();
}
$bench->artisan('reach:compare', 'browser', '--out=' . $bench->folder . '/browser.csv')->mustRun();
$bench->serve();
$driver = new Process(['chromedriver', '--port=9597'], null, null, null, null);
$driver->start();
usleep(1_500_000);
$chrome = DesiredCapabilities::chrome();
$chrome->setCapability(
    ChromeOptions::CAPABILITY,
    (new ChromeOptions())->addArguments([
        '--headless=new',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--window-size=1280,800',
    ]),
);
$browser = RemoteWebDriver::create('http://127.0.0.1:9597', $chrome, 30_000, 180_000);
$browser->manage()->timeouts()->setScriptTimeout(170);
$browser->get($bench->address . '/sign-in');
$browser->wait(20)->until(WebDriverExpectedCondition::visibilityOfElementLocated(WebDriverBy::name('email')))->sendKeys(Application::EMAIL);
$browser->findElement(WebDriverBy::name('password'))->sendKeys(Application::PASSWORD)->submit();
$browser->wait(20)->until(WebDriverExpectedCondition::not(WebDriverExpectedCondition::urlContains('sign-in')));

$firstView = [];
for ($turn = 0; $turn < 6; ++$turn) {
    $browser->get($bench->address.'/studies/browser/compare');
    $firstView[] = $browser->executeAsyncScript(<<<'JS'
        const done = arguments[0];
        const look = () => (document.querySelector('[data-keyword]') === null ? requestAnimationFrame(look) : done(performance.now()));
        look();
        JS);
}
// The first one warms the server up.
array_shift($firstView);
sort($firstView);

$browser->executeAsyncScript(<<<'JS'
    const [keywords, done] = arguments;
    const list = document.querySelector('[role="table"][aria-label="Keywords"]');
    const row = document.querySelector('[data-keyword]').getBoundingClientRect().height;
    const load = () => {
      list.scrollTop = list.scrollHeight;
      list.scrollHeight < keywords * row ? setTimeout(load, 30) : setTimeout(done, 500);
    };
    load();
    JS, [KEYWORDS]);
$scroll = static fn (int $rowsPerSecond): array => $browser->executeAsyncScript(<<<'JS'
    const [rowsPerSecond, seconds, done] = arguments;
    const list = document.querySelector('[role="table"][aria-label="Keywords"]');
    const row = document.querySelector('[data-keyword]').getBoundingClientRect().height;
    const begin = performance.now();
    let [frames, slowest, before] = [0, 0, begin];
    const step = (now) => {
      frames += 1;
      slowest = Math.max(slowest, now - before);
      before = now;
      list.scrollTop = ((now - begin) / 1000) * rowsPerSecond * row;
      now - begin < seconds * 1000 ? requestAnimationFrame(step) : done([frames / seconds, slowest]);
    };
    requestAnimationFrame(step);
    JS, [$rowsPerSecond, SECONDS]);
printf("first view of the bench, warm server: median %d ms, slowest of five %d ms\n", $firstView[2], $firstView[4]);
foreach ([30 => 'steadily', 100 => 'fast', 1000 => 'all of it past'] as $rowsPerSecond => $how) {
    [$frames, $slowest] = $scroll($rowsPerSecond);
    printf(
        "scrolling %s rows %s, %d rows a second: %.1f frames/s, slowest frame %d ms\n",
        number_format(KEYWORDS),
        $how,
        $rowsPerSecond,
        $frames,
        $slowest,
    );
}
$browser->quit();
$driver->stop(1);
$bench->stop();
