<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\PlanItem;
use App\Models\Study;
use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\WebDriverKeys;

/** Three months of one study, page by page: planned and published in the first, held against the second and third, reviewed on paper. */
final class RoundTest extends BrowserTestCase
{
    public function test_what_is_planned_in_one_month_is_held_against_the_next_two(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $months = array_map(static fn(int $step): string => now('UTC')->startOfMonth()->addMonths($step)->toDateString(), [0, 1, 2]);
        $this->import(
            $study,
            "keyword,volume,difficulty\nbig pen,2000,20\nbest big pen,600,20\ndear nib,150,10\nhow to ink,200,5\nwax seal,900,15\n",
            'keywords',
        );
        $this->import(
            $study,
            "keyword,position,url\nbig pen,3,https://inkmoor.example/pens\nbest big pen,2,https://inkmoor.example/pens\n"
                ."dear nib,4,https://inkmoor.example/nib\nhow to ink,9,https://inkmoor.example/ink\n",
            options: ['--domain' => 'inkmoor.example', '--date' => $months[0]],
        );
        $this->signIn($this->makeEditor($study)->email, 'correct horse');

        $this->bringIn(
            $study,
            $months[0],
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nbest big pen,14,https://quillfair.example/pen\n"
                ."how to ink,3,https://quillfair.example/ink\n",
        );
        $this->thePageGoesOntoTheRoadmap($study);
        $this->visit("/studies/{$study->slug}/plan");
        $this->see('2 keywords');
        $this->press('a');
        $this->clickText('Apply plan', 'button');
        $item = $this->await(
            static fn(): ?PlanItem => PlanItem::query()->where('study_id', $study->id)->where('name', 'big pen')->first(),
            'Nothing was planned.',
        );
        $this->clickText('big pen', 'button');
        $this->see('Keywords of the page');
        $this->theWriterPublishesIt($study);
        $this->click('aside [role="combobox"]');
        $this->clickText('done', 'li');
        $this->await(static fn(): ?bool => $item->refresh()->status === 'done' ?: null, 'It was not done.');

        $this->bringIn(
            $study,
            $months[1],
            "keyword,position,url\nbig pen,7,https://quillfair.example/pen\nbest big pen,14,https://quillfair.example/pen\n"
                ."how to ink,5,https://quillfair.example/ink\n",
        );
        $this->visit("/studies/{$study->slug}/track");
        $this->see('Since '.self::dayWords($months[0]));
        $this->see('We climbed on 1 keyword, dropped on 1');
        $this->see('too early');

        $this->import(
            $study,
            "keyword,position\nbig pen,4\nbest big pen,3\ndear nib,2\nhow to ink,6\nwax seal,5\n",
            options: ['--domain' => 'inkmoor.example', '--date' => $months[2]],
        );
        $this->bringIn(
            $study,
            $months[2],
            "keyword,position,url\nbig pen,3,https://quillfair.example/pen\nbest big pen,9,https://quillfair.example/pen\n"
                ."how to ink,4,https://quillfair.example/ink\ndear nib,20,https://quillfair.example/nib\n",
        );
        $this->visit("/studies/{$study->slug}/track");
        $this->see('12 → 3');
        $this->see('1 gap opened');
        $this->see('1 gap closed');
        $this->see('1 of 1 existing page reached its target');
        $this->see('target reached');
        $this->see('1 finished item has added');
        $this->clickText('1 new gap to decide on', 'a');
        $this->await(fn(): ?bool => $this->keywords() === ['wax seal'] ?: null, 'The new gap is not shown.');
        $this->press('j');
        $this->press('s');
        $this->visit("/studies/{$study->slug}/track");
        $this->see('Since '.self::dayWords($months[1]));
        $this->seeNot('wait for a decision');
        $this->reviewPrintsOnTwoSheets($study);
    }

    /** The first page of the ranked list, with both of its keywords, by two keys. */
    private function thePageGoesOntoTheRoadmap(Study $study): void
    {
        $this->visit("/studies/{$study->slug}/weigh");
        $this->see('big pen');
        $this->press('j');
        $this->see('big pen, all its keywords');
        $this->press('t');
        $this->see('Added to the roadmap without a month.');
    }

    private function theWriterPublishesIt(Study $study): void
    {
        $this->clickText('Create a link for two weeks', 'button');
        $url = (string) $this->find('aside input[readonly]')->getAttribute('value');
        $board = $this->browser->getCurrentURL();
        $this->visit((string) strstr($url, '/brief/'));
        $this->see('Status of “big pen”');
        $this->click('input[value="published"]');
        $this->find('input[name="url"]')->sendKeys('https://quillfair.example/pen');
        $this->find('textarea')->sendKeys('<b>Out</b> on Monday');
        $this->clickText('Send', 'button');
        $this->see('Thank you. We saved your answer.');
        $this->browser->get($board);
        $this->see('Published at https://quillfair.example/pen');
        $this->see('The writer: <b>Out</b> on Monday');
        self::assertSame('published', PlanItem::of($study->load('domains'))->firstOrFail()->status);
    }

    private function bringIn(Study $study, string $day, string $csv): void
    {
        $this->visit("/studies/{$study->slug}/gather");
        $this->find('[data-testid="file"]')->sendKeys($this->makeFile($csv, "quillfair.example-{$day}.csv"));
        $this->see('rows to keep');
        $this->see("added for {$day}");
        $this->await(
            fn(): ?bool => $this->findText('Import', 'button')->getAttribute('disabled') === null ?: null,
            'The file cannot be imported.',
        );
        $this->clickText('Import', 'button');
        $this->seeNot('rows to keep');
        $this->await(
            static fn(): ?bool => $study->refresh()->comparison?->data_version === $study->data_version ?: null,
            'The comparison did not follow.',
        );
        $this->press(WebDriverKeys::ESCAPE);
    }

    private function reviewPrintsOnTwoSheets(Study $study): void
    {
        $this->visit("/api/v1/studies/{$study->slug}/exports/review.html");
        $this->see('the month in review');
        $this->see('12 → 3');
        $pdf = (string) base64_decode(
            (string) (new ChromeDevToolsDriver($this->browser))->execute('Page.printToPDF', ['preferCSSPageSize' => true])['data'],
            true,
        );
        self::assertSame(2, preg_match_all('~/Type\s*/Page\b(?!s)~', $pdf), 'The review does not print on two sheets.');
    }
}
