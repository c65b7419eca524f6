<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Plans\AddToPlan;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use Facebook\WebDriver\WebDriverKeys;

/** From a proposal to a done item and what came of it, mostly by keys. */
final class PlanTest extends BrowserTestCase
{
    public function test_a_plan_is_proposed_moved_done_and_tracked(): void
    {
        $study = $this->weighed('2026-11-01');
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/plan");
        $this->see('The roadmap is empty');
        $this->press('a');
        $this->see('moves,');
        $this->clickText('Apply plan', 'button');
        $item = $this->await(
            static fn(): ?PlanItem => PlanItem::query()->where('study_id', $study->id)->where('name', 'big pen')->first(),
            'Nothing was planned.',
        );
        $this->clickText('big pen', 'button');
        $this->see('Keywords of the page');
        $month = (string) $item->month;
        $this->press(WebDriverKeys::ESCAPE);
        $this->clickText('big pen', 'button');
        $this->see('Keywords of the page');
        $this->press(']');
        $this->await(static fn(): ?bool => $item->refresh()->month > $month ?: null, 'The card did not move.');
        $this->find('aside textarea')->sendKeys('Pens that last'.WebDriverKeys::TAB);
        $this->await(
            static fn(): ?bool => ($item->refresh()->brief['angle'] ?? '') === 'Pens that last' ?: null,
            'The brief was not kept.',
        );
        $this->click('aside [role="combobox"]');
        $this->clickText('done', 'li');
        $this->await(static fn(): ?bool => $item->refresh()->status === 'done' ?: null, 'It was not done.');
        $this->visit("/studies/{$study->slug}/track");
        $this->see('too early');
        $later = now('UTC')->addMonths(3)->startOfMonth()->toDateString();
        $this->import(
            $study,
            "keyword,position,url\nbig pen,1,https://quillfair.example/pen\n",
            options: ['--domain' => 'quillfair.example', '--date' => $later],
        );
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->visit("/studies/{$study->slug}/track");
        $this->see('12 → 1');
        $this->clickText('above', 'button');
        $this->see('net visits against');
    }

    public function test_a_draft_is_tried_beside_the_plan_agreed_on_and_undone(): void
    {
        $study = $this->weighed('2026-11-01');
        $editor = $this->makeEditor($study);
        app(AddToPlan::class)->keywords($study->refresh()->load('domains'), ['big pen'], $editor->id);
        $id = PlanItem::query()->where('study_id', $study->id)->firstOrFail()->id;
        $month = static fn(): ?string => PlanItem::query()->findOrFail($id)->month;
        $this->signIn($editor->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/plan");
        $this->clickText('Drafts (0)', 'button');
        $this->find('[role="dialog"] form input')->sendKeys('spring push');
        $this->clickText('Copy the roadmap', 'button');
        $this->see('Draft: spring push');
        $this->see('not the roadmap yet');
        $this->clickText('big pen', 'button');
        $this->see('Keywords of the page');
        $this->press(']');
        $draft = $this->await(
            static fn(): ?PlanDraft => PlanDraft::query()->where('study_id', $study->id)->where('version', 2)->first(),
            'The card did not move in the draft.',
        );
        self::assertArrayHasKey($id, $draft->placements);
        self::assertSame(
            0,
            PlanItem::query()->where('study_id', $study->id)->whereNotNull('month')->count(),
            'The agreed plan stays as it is.',
        );
        $this->press(WebDriverKeys::ESCAPE);
        $this->clickText('Draft: spring push', 'button');
        $this->clickText('Use as roadmap', 'button');
        $this->await(static fn(): ?bool => $month() === $draft->placements[$id] ?: null, 'The draft was not the roadmap yet on.');
        $this->see('Drafts (1)');
        $this->press('u');
        $this->await(static fn(): ?bool => $month() === null ?: null, 'It was not undone.');
    }

    public function test_the_rulebook_refuses_in_place_and_keeps_what_is_right(): void
    {
        $study = $this->weighed('2026-11-01');
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/rulebook");
        $field = $this->find('[aria-label="Conversion rate"]');
        $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'1.5'.WebDriverKeys::ENTER);
        $this->see('from 0 to 1');
        self::assertSame(.02, $study->refresh()->rulebook()->float('conversion_rate'));
        $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'0.05'.WebDriverKeys::ENTER);
        $this->see('The top 20 stay the same.');
        self::assertSame(.02, $study->refresh()->rulebook()->float('conversion_rate'), 'Looking saves nothing.');
        $this->clickText('Save', 'button');
        $this->see('Default: 0.02.');
        self::assertSame(.05, $study->refresh()->rulebook()->float('conversion_rate'));
        $this->see('Conversion rate: default → 0.05');
        $this->clickText('Undo this change', 'button');
        $this->see('Conversion rate: 0.05 → 0.02');
        self::assertSame(.02, $study->refresh()->rulebook()->float('conversion_rate'));
    }

    private function weighed(string $day): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => $day],
        );
        $this->import($study, "keyword,position\nbig pen,3\ndear nib,4\n", options: ['--domain' => 'inkmoor.example', '--date' => $day]);
        $this->import($study, "keyword,volume,difficulty\nbig pen,2000,20\ndear nib,150,10\nhow to ink,200,5\n", 'keywords');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));

        return $study;
    }
}
