<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Texts;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;
use StandIn\Calendar;
use StandIn\Market;
use StandIn\MarketData;
use StandIn\MonthStore;

/**
 * A whole monthly round by keyboard, counted: a new study, nine files, noise, a shortlist of fifteen pages with reasons, a plan, an
 * export, the files of the next month, and what changed. Text that is typed or pasted does not count.
 */
final class MonthlyRoundTest extends BrowserTestCase
{
    private const MOST_PRESSES = 150;
    private const MONTHS = [9, 10];
    private const SHORTLISTED = 15;

    private const FIRST_COMMAND = 'return document.querySelector("#commands li > div")?.innerText';
    private const LABEL = <<<'JS'
        const at = document.activeElement;
        return at.labels?.[0]?.textContent || at.getAttribute('aria-label') || at.innerText || '';
        JS;

    private int $presses = 0;

    public function test_a_round_takes_few_presses_and_loses_nothing(): void
    {
        $this->signIn($this->makeUser()->email, 'correct horse');
        $this->see('Your first study');
        $this->type('thornfield-apiary.example');
        $this->hit(WebDriverKeys::ENTER);
        $this->see('Imports');
        $study = Study::query()->where('name', 'Thornfield apiary')->latest('id')->firstOrFail();
        $this->tabTo('Or type them, one per line');
        $this->type(implode("\n", \array_slice(array_map(static fn($domain): string => $domain->host, Market::domains()), 1, 5)));
        $this->hit(WebDriverKeys::TAB);
        $this->hit(WebDriverKeys::ENTER);
        $this->see('against 5');
        $this->bringIn($this->files(self::MONTHS[0]), 9);
        $this->hideNoise($study);
        $reasons = $this->shortlist();
        $this->plan($study, $reasons);
        $this->bringIn(\array_slice($this->files(self::MONTHS[1]), 0, 6), 6);
        $this->hit('5');
        $this->see('Since '.self::dayWords(Calendar::day(self::MONTHS[0])));
        self::assertLessThanOrEqual(self::MOST_PRESSES, $this->presses, 'Presses of the whole round.');
        self::assertSame($reasons, $this->kept($study), 'Every mark is there with its reason.');
    }

    /** @param list<string> $files */
    private function bringIn(array $files, int $count): void
    {
        $this->hit('1');
        $this->see('Imports');
        // The window in which files are chosen is the system's own: one press opens it, and another chooses.
        $this->presses += 2;
        $this->find('[data-testid="file"]')->sendKeys(implode("\n", $files));
        $this->see($count.' ready');
        $this->hit(WebDriverKeys::ENTER);
        $this->await(
            fn(): ?bool => $this->browser->executeScript('return document.querySelector("[role=dialog]") === null') ?: null,
            'The files were not imported.',
        );
    }

    private function hideNoise(Study $study): void
    {
        $this->hit('2');
        $this->see('Keyword overlap');
        $this->hit('n');
        $this->see('Noise to hide');
        $this->seeNot('Looking for noise');
        $this->tabTo('Hide');
        $this->hit(WebDriverKeys::ENTER);
        $this->await(fn(): ?bool => str_contains($this->browser->getCurrentURL(), 'navigational') ?: null, 'The noise is still there.');
        $this->hit('3');
        $this->see('Weights');
        self::assertStringContainsString('navigational', $this->browser->getCurrentURL(), 'The sentence goes along.');
        $study->refresh();
    }

    /** @return list<string> reasons that were given, in order */
    private function shortlist(): array
    {
        $pages = $this->await(
            fn(): ?array => \count($this->keywords()) > self::SHORTLISTED ? \array_slice($this->keywords(), 0, self::SHORTLISTED) : null,
            'There are too few pages.',
        );
        $reasons = [];
        $this->hit('j');
        foreach (array_keys($pages) as $number) {
            $this->hit('s');
            $this->see('Enter saves it');
            $this->type("reason number {$number}");
            $this->hit(WebDriverKeys::ENTER);
            $reasons[] = "reason number {$number}";
        }
        sort($reasons);

        return $reasons;
    }

    /** @param list<string> $reasons */
    private function plan(Study $study, array $reasons): void
    {
        $this->await(fn(): ?bool => $this->kept($study) === $reasons ?: null, 'Not every mark has its reason.');
        $this->hit('4');
        $this->see('The roadmap is empty');
        $this->hit('a');
        $this->see('Proposed plan');
        $this->seeNot('Planning');
        $this->tabTo('Apply plan');
        $this->hit(WebDriverKeys::ENTER);
        $this->await(static fn(): ?bool => PlanItem::query()->where('study_id', $study->id)->exists() ?: null, 'Nothing was planned.');
        $this->await(
            fn(): ?bool => $this->browser->executeScript('return document.querySelector("[role=dialog]") === null') ?: null,
            'The proposal stays open.',
        );
        $this->hit(':');
        $this->find('#commands');
        $this->type('roadmap csv');
        $this->await(
            fn(): ?bool => $this->browser->executeScript(self::FIRST_COMMAND) === 'Export: Roadmap as CSV' ?: null,
            'The command box does not know the roadmap.',
        );
        $this->hit(WebDriverKeys::ENTER);
        $this->await(fn(): ?string => glob($this->downloads.'/*.csv')[0] ?? null, 'Nothing was downloaded.');
    }

    /** @return list<string> reasons of what is shortlisted, each once */
    private function kept(Study $study): array
    {
        $reasons = DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->distinct()->orderBy('reason')
            ->pluck('reason')->all();

        return Texts::list($reasons);
    }

    /**
     * @return list<string> paths: rankings of each domain first, then keywords, page one and our clicks
     */
    private function files(int $month): array
    {
        $market = new MarketData(new MonthStore(sys_get_temp_dir().'/stand-in-of-tests'), ['smokers', 'suits']);
        $day = substr(Calendar::day($month), 0, 7);
        $files = [];
        $texts = [];
        foreach (\array_slice(Market::domains(), 0, 6) as $domain) {
            $rankings = $market->rankings($domain->host, $month);
            $texts += array_flip(array_map(static fn(array $row): string => (string) $row['keyword'], $rankings));
            $files[] = $this->table("rankings-{$domain->host}-{$day}.csv", $rankings);
        }
        $keywords = array_map(strval(...), array_keys($texts));
        $files[] = $this->table("keywords-{$day}.csv", $market->metrics($keywords));
        $files[] = $this->table("page-one-{$day}.csv", $market->results(\array_slice($keywords, 0, 60), $month));
        $files[] = $this->table("our-clicks-{$day}.csv", $market->performance(Market::OURS, $month));

        return $files;
    }

    /** @param list<array<string, string|int|float|null>> $rows */
    private function table(string $name, array $rows): string
    {
        $path = $this->downloads.'/../'.bin2hex(random_bytes(4)).'-files';
        mkdir($path);
        $file = fopen("{$path}/{$name}", 'wb') ?: throw new \RuntimeException('The file cannot be written.');
        fputcsv($file, array_keys($rows[0]), escape: '');
        foreach ($rows as $row) {
            fputcsv($file, $row, escape: '');
        }
        fclose($file);

        return (string) realpath("{$path}/{$name}");
    }

    private function hit(string $key): void
    {
        ++$this->presses;
        $this->press($key);
    }

    private function type(string $text): void
    {
        $this->browser->switchTo()->activeElement()->sendKeys($text);
    }

    /** Tab after Tab to a control that bears a text, each of them counted. */
    private function tabTo(string $text): void
    {
        for ($tab = 0; $tab < 40; ++$tab) {
            if (str_starts_with(trim((string) $this->browser->executeScript(self::LABEL)), $text)) {
                return;
            }
            $this->hit(WebDriverKeys::TAB);
        }
        self::fail('The Tab key does not reach "'.$text.'" on this page: '.$this->text());
    }
}
