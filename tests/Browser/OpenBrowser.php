<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverDimension;
use Illuminate\Support\Facades\File;
use Symfony\Component\Process\Process;

/** The web server and the browser that all browser tests of a run share; every test gets a new window that knows nobody. */
final class OpenBrowser
{
    private const FLAGS = [
        '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync', '--window-size=1280,800',
    ];

    private static ?self $shared = null;

    /** @var list<Process> */
    private array $processes = [];

    private function __construct(
        public readonly string $address,
        public readonly string $downloads,
        public readonly RemoteWebDriver $driver,
        Process ...$processes,
    ) {
        $this->processes = array_values($processes);
    }

    public static function shared(): self
    {
        if (self::$shared === null) {
            self::$shared = self::start();
            register_shutdown_function(self::close(...));
        }
        self::$shared->forget();

        return self::$shared;
    }

    /** The next test opens another one. */
    public static function close(): void
    {
        [$open, self::$shared] = [self::$shared, null];
        if ($open !== null) {
            try {
                $open->driver->quit();
            } finally {
                array_map(static fn(Process $process): ?int => $process->stop(20), $open->processes);
                File::deleteDirectory($open->downloads);
            }
        }
    }

    private static function start(): self
    {
        $downloads = sys_get_temp_dir().'/reach-browser-'.bin2hex(random_bytes(4));
        mkdir($downloads);
        [$web, $port] = [self::freePort(), self::freePort()];
        $server = self::run(
            ['bash', base_path('bin/web'), (string) $web],
            base_path(),
            ['APP_ENV' => 'testing', 'QUEUE_CONNECTION' => 'sync', 'CACHE_STORE' => 'database'],
        );
        $driver = self::run(['chromedriver', '--port='.$port], base_path(), []);
        self::waitForPort($web);
        self::waitForPort($port);
        $browser = self::browser($port, $downloads);
        $browser->manage()->timeouts()->setScriptTimeout(30);

        return new self('http://127.0.0.1:'.$web, $downloads, $browser, $server, $driver);
    }

    private function forget(): void
    {
        // Ends what is still under way, so that no late answer brings a session back.
        $this->driver->get('about:blank');
        [$old] = $this->driver->getWindowHandles();
        $this->driver->switchTo()->newWindow();
        $new = $this->driver->getWindowHandle();
        $this->driver->switchTo()->window($old)->close();
        $this->driver->switchTo()->window($new);
        $tools = new ChromeDevToolsDriver($this->driver);
        $tools->execute('Network.clearBrowserCookies');
        $tools->execute('Storage.clearDataForOrigin', ['origin' => $this->address, 'storageTypes' => 'local_storage']);
        $this->driver->manage()->window()->setSize(new WebDriverDimension(1280, 800));
        self::lookThrough($tools);
        File::delete(array_filter(glob($this->downloads.'/*') ?: [], is_file(...)));
    }

    /** Through a window of another size (`REACH_WINDOW=1024x768`), and in the dark (`REACH_SCHEME=dark`), where that is asked for. */
    private static function lookThrough(ChromeDevToolsDriver $tools): void
    {
        if (preg_match('/^(\d+)x(\d+)$/', (string) getenv('REACH_WINDOW'), $size) === 1) {
            $metrics = ['width' => (int) $size[1], 'height' => (int) $size[2], 'deviceScaleFactor' => 1, 'mobile' => false];
            $tools->execute('Emulation.setDeviceMetricsOverride', $metrics);
        }
        $scheme = getenv('REACH_SCHEME') === 'dark' ? 'dark' : 'light';
        $tools->execute('Emulation.setEmulatedMedia', ['features' => [['name' => 'prefers-color-scheme', 'value' => $scheme]]]);
    }

    private static function browser(int $port, string $downloads): RemoteWebDriver
    {
        $options = (new ChromeOptions())->addArguments([...self::FLAGS, '--user-data-dir='.$downloads.'/profile']);
        $options->setExperimentalOption('prefs', [
            'download.default_directory' => $downloads,
            'download.prompt_for_download' => false,
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);

        return RemoteWebDriver::create('http://127.0.0.1:'.$port, $capabilities, 30_000, 60_000);
    }

    /**
     * @param list<string>          $command
     * @param array<string, string> $environment
     */
    private static function run(array $command, string $folder, array $environment): Process
    {
        $process = new Process($command, $folder, $environment, null, null);
        $process->disableOutput()->start();

        return $process;
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }

    private static function waitForPort(int $port): void
    {
        for ($try = 0; $try < 200; ++$try) {
            $socket = @fsockopen('127.0.0.1', $port);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(50_000);
        }
        throw new \RuntimeException('Nothing listens on port '.$port.'.');
    }
}
