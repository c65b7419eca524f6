<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** A journey through the built application: a web server and a headless browser of its own, on free ports. */
abstract class BrowserTestCase extends TestCase
{
    private const FLAGS = [
        '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking',
        '--disable-component-update', '--disable-sync', '--window-size=1280,800',
    ];
    private const PATIENCE = 25.0;

    protected RemoteWebDriver $browser;
    protected string $downloads;

    /** @var list<Process> */
    private array $processes = [];
    private string $address = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->downloads = sys_get_temp_dir().'/reach-browser-'.bin2hex(random_bytes(4));
        mkdir($this->downloads);
        [$web, $driver] = [self::freePort(), self::freePort()];
        $this->address = 'http://127.0.0.1:'.$web;
        $this->start(
            [
                'php',
                '-d',
                'upload_max_filesize=64M',
                '-d',
                'post_max_size=66M',
                '-S',
                '127.0.0.1:'.$web,
                '-t',
                public_path(),
                base_path('bin/serve.php'),
            ],
            public_path(),
            ['APP_ENV' => 'testing', 'QUEUE_CONNECTION' => 'sync', 'CACHE_STORE' => 'database'],
        );
        $this->start(['chromedriver', '--port='.$driver], base_path(), []);
        self::waitForPort($web);
        self::waitForPort($driver);
        $this->browser = $this->open($driver);
        $this->browser->manage()->timeouts()->setScriptTimeout(30);
    }

    protected function tearDown(): void
    {
        $this->browser->quit();
        foreach ($this->processes as $process) {
            $process->stop(2);
        }
        parent::tearDown();
    }

    protected function visit(string $path): void
    {
        $this->browser->get($this->address.$path);
    }

    protected function signIn(string $email, string $password): void
    {
        $this->visit('/sign-in');
        $this->find('[name="email"]')->sendKeys($email);
        $this->find('[name="password"]')->sendKeys($password.WebDriverKeys::ENTER);
        $this->see('Studies and what waits in them');
    }

    /** Waits for an element and gives it. */
    protected function find(string $selector): RemoteWebElement
    {
        return $this->await(
            fn(): ?RemoteWebElement => $this->browser->findElements(WebDriverBy::cssSelector($selector))[0] ?? null,
            'There is no element '.$selector,
        );
    }

    /** Waits for an element of a role's usual kind with a text, and gives it. */
    protected function findText(string $text, string $tags = 'button|a|li|label|option'): RemoteWebElement
    {
        return $this->await(fn(): ?RemoteWebElement => $this->withText($text, $tags), 'There is no "'.$text.'"');
    }

    /** Clicks an element with a text as soon as it is there and nothing that still moves lies over it. */
    protected function clickText(string $text, string $tags = 'button|a|li|label|option'): void
    {
        $this->await(function () use ($text, $tags): ?bool {
            $element = $this->withText($text, $tags);
            $element?->click();

            return $element === null ? null : true;
        }, 'There is no "'.$text.'" that can be clicked');
    }

    private function withText(string $text, string $tags): ?RemoteWebElement
    {
        $path =
            '//*['.
            implode(' or ', array_map(static fn(string $tag): string => 'self::'.$tag, explode('|', $tags))).
            '][contains(normalize-space(.), "'.
            $text.
            '")]';

        return $this->browser->findElements(WebDriverBy::xpath($path))[0] ?? null;
    }

    protected function click(string $selector): void
    {
        $this->await(function () use ($selector): ?bool {
            $element = $this->browser->findElements(WebDriverBy::cssSelector($selector))[0] ?? null;
            $element?->click();

            return $element === null ? null : true;
        }, 'There is no element '.$selector.' that can be clicked');
    }

    protected function see(string $text): void
    {
        $this->await(
            fn(): ?bool => str_contains($this->text(), $text) ?: null,
            'The page does not show "'.$text.'"; it shows: '.substr($this->text(), 0, 1500),
        );
    }

    protected function seeNot(string $text): void
    {
        $this->await(fn(): ?bool => str_contains($this->text(), $text) ? null : true, 'The page still shows "'.$text.'".');
    }

    protected function press(string $keys): void
    {
        $this->await(function () use ($keys): bool {
            $this->browser->getKeyboard()->sendKeys($keys);

            return true;
        }, 'Nothing takes the keys.');
    }

    /** @return list<string> keywords in the list, from the top, as far as they are drawn */
    protected function keywords(): array
    {
        /** @var list<string> $keywords */
        $keywords = $this->browser->executeScript(
            'return [...document.querySelectorAll("[data-keyword]")].map((row) => row.dataset.keyword)',
        );

        return $keywords;
    }

    /**
     * @template T
     *
     * @param \Closure(): ?T $look
     *
     * @return T
     */
    protected function await(\Closure $look, string $failure): mixed
    {
        $until = microtime(true) + self::PATIENCE;
        do {
            try {
                $found = $look();
            } catch (StaleElementReferenceException|ElementClickInterceptedException|ElementNotInteractableException) {
                $found = null;
            }
            if ($found !== null) {
                $this->addToAssertionCount(1);

                return $found;
            }
            usleep(50_000);
        } while (microtime(true) < $until);
        self::fail($failure);
    }

    private function text(): string
    {
        // Thin spaces group thousands on the screen.
        return str_replace("\u{2009}", ' ', (string) $this->browser->executeScript('return document.body.innerText'));
    }

    private function open(int $port): RemoteWebDriver
    {
        $options = (new ChromeOptions())->addArguments([...self::FLAGS, '--user-data-dir='.$this->downloads.'/profile']);
        $options->setExperimentalOption('prefs', [
            'download.default_directory' => $this->downloads,
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
    private function start(array $command, string $folder, array $environment): void
    {
        $process = new Process($command, $folder, $environment, null, null);
        $process->disableOutput()->start();
        $this->processes[] = $process;
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: self::fail('No free port.');
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
        self::fail('Nothing listens on port '.$port.'.');
    }
}
