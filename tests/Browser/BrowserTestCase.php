<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\WebDriverException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\TestCase;

/** A journey through the built application, in a window of its own. */
abstract class BrowserTestCase extends TestCase
{
    private const PATIENCE = 60.0;

    protected RemoteWebDriver $browser;
    protected string $downloads;
    private string $address = '';

    protected function setUp(): void
    {
        parent::setUp();
        $open = OpenBrowser::shared();
        [$this->browser, $this->downloads, $this->address] = [$open->driver, $open->downloads, $open->address];
    }

    protected function tearDown(): void
    {
        if (! $this->status()->isSuccess()) {
            $this->keepWhatWasSeen();
            // In what state it was left nobody knows.
            OpenBrowser::close();
        }
        parent::tearDown();
    }

    /** The picture, the address, the text and what the console said, for whoever looks for the fault. */
    private function keepWhatWasSeen(): void
    {
        $name = storage_path('framework/testing/'.(new \ReflectionClass($this))->getShortName().'-'.$this->name());
        try {
            $this->browser->takeScreenshot("{$name}.png");
            $console = json_encode($this->browser->manage()->getLog('browser'), JSON_PRETTY_PRINT | JSON_PARTIAL_OUTPUT_ON_ERROR);
            file_put_contents("{$name}.txt", "{$this->browser->getCurrentURL()}\n\n{$this->text()}\n\n{$console}\n");
        } catch (WebDriverException $error) {
            fwrite(STDERR, "Nothing could be kept of what was seen: {$error->getMessage()}\n");
        }
    }

    /** A day in a sentence, as the browser of the tests writes English. */
    protected static function dayWords(string $day): string
    {
        return date('M j, Y', (int) strtotime($day));
    }

    protected function visit(string $path): void
    {
        $this->browser->get($this->address.$path);
    }

    protected function signIn(string $email, string $password): void
    {
        $this->visit('/sign-in');
        $this->find('[name="email"]');
        // The page may be drawn anew while it learns that nobody is signed in.
        $this->await(function () use ($email, $password): bool {
            foreach (['email' => $email, 'password' => $password.WebDriverKeys::ENTER] as $field => $text) {
                $this->browser->findElement(WebDriverBy::cssSelector("[name=\"{$field}\"]"))->clear()->sendKeys($text);
            }

            return true;
        }, 'The fields of the sign-in page do not stay.');
        // What is there next depends on whether there are studies.
        $this->await(fn(): ?bool => str_ends_with($this->browser->getCurrentURL(), '/sign-in') ? null : true, 'Nobody is signed in.');
        $this->find('h1');
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

        $found = $this->browser->findElements(WebDriverBy::xpath($path));
        $exact = array_filter($found, static fn(RemoteWebElement $element): bool => trim($element->getText()) === $text);

        return array_values($exact)[0] ?? $found[0] ?? null;
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
            fn(): string => 'The page does not show "'.$text.'"; it shows: '.substr($this->text(), 0, 1500),
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

    /** Whether the list has all its columns. */
    protected function isWide(int $pixels = 1024): bool
    {
        return $this->browser->executeScript('return innerWidth') >= $pixels;
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
     * @param \Closure(): ?T          $look
     * @param string|\Closure(): string $failure what is said, or says what there is then
     *
     * @return T
     */
    protected function await(\Closure $look, string|\Closure $failure): mixed
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
        self::fail(\is_string($failure) ? $failure : $failure());
    }

    protected function text(): string
    {
        // Thin spaces group thousands on the screen.
        return str_replace("\u{2009}", ' ', (string) $this->browser->executeScript('return document.body.innerText'));
    }
}
