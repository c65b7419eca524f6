<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Pulls\PullOptions;
use App\Actions\Pulls\PullStudy;
use App\Models\Study;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;
use Tests\Feature\Pulls\StandIn;

/** A round on the demo's market by keyboard alone: from all competitors to a shortlist of fifteen with a reason. */
final class KeyboardRoundTest extends BrowserTestCase
{
    private const COMPETITORS = [
        'hivewright.example',
        'meadowcomb.example',
        'skepandsmoker.example',
        'first-swarm.example',
        'gardenalmanac.example',
    ];

    public function test_from_all_competitors_to_a_shortlist_of_fifteen(): void
    {
        $study = $this->demo();
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        $this->see('Imports');
        $this->press('2');
        $this->see('Keyword overlap');
        $this->addClause('Our position', null);
        $this->see('at 6 to 20');
        $this->press('z');
        $this->seeNot('at 6 to 20');
        $this->press('l');
        $this->see('Gaps only some competitors fill');
        $this->choose('Gaps only some competitors fill');
        $this->see('that are gaps');
        $this->see('hidden as competitors');
        $this->awaitClosed();
        $before = $this->shownCount();
        $this->addClause('Position of hivewright.example', '20');
        $this->see('hivewright.example at up to 20');
        $this->addClause('Gain in visits', '2');
        $this->see('gain in visits from 2');
        $this->await(fn(): ?bool => $this->shownCount() < $before ?: null, 'The clauses hide nothing.');
        $this->press('j');
        for ($row = 0; $row < 15; ++$row) {
            $this->press('v');
            $this->press('j');
        }
        $this->see('15 chosen');
        $this->press('b');
        $this->press(WebDriverKeys::ENTER);
        $this->await(
            fn(): ?bool => $this->browser->switchTo()->activeElement()->getTagName() === 'input' ?: null,
            'No field for the reason.',
        );
        $this->press('hivewright has it, we should'.WebDriverKeys::ENTER);
        $this->await(
            fn(): ?bool => DB::table('decisions')
                ->where('study_id', $study->id)
                ->where('mark', 'shortlisted')
                ->where('reason', 'hivewright has it, we should')
                ->count() === 15 ?:
            null,
            'Fifteen were not shortlisted.',
        );
        $this->press('u');
        $this->await(
            fn(): ?bool => DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->doesntExist() ?: null,
            'It was not undone.',
        );
    }

    /** Adds a clause by its name in the menu, and types its bound. */
    private function addClause(string $title, ?string $bound): void
    {
        $this->press('f');
        $this->choose($title);
        $this->see('Remove');
        if ($bound !== null) {
            $field = str_starts_with($title, 'Position') ? 'Up to' : 'From';
            for ($tab = 0; $tab < 6 && $this->label() !== $field; ++$tab) {
                $this->press(WebDriverKeys::TAB);
            }
            self::assertSame($field, $this->label());
            $this->press(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.$bound);
        }
        $this->press(WebDriverKeys::ESCAPE);
        $this->awaitClosed();
    }

    private function awaitClosed(): void
    {
        $this->await(
            fn(): ?bool => $this->browser->executeScript('return document.querySelector(".MuiPopover-root") === null') ?: null,
            'What is open does not close.',
        );
    }

    /** Moves through a menu or a list of links with the keys until the one that is wanted, and presses Enter. */
    private function choose(string $text): void
    {
        $this->see($text);
        $key = $this->browser->executeScript('return document.querySelector("[role=menu]") === null')
            ? WebDriverKeys::TAB
            : WebDriverKeys::ARROW_DOWN;
        for ($step = 0; $step < 80; ++$step) {
            if (trim((string) $this->browser->executeScript('return document.activeElement.innerText')) === $text) {
                $this->press(WebDriverKeys::ENTER);

                return;
            }
            $this->press($key);
        }
        self::fail('The keys do not reach "'.$text.'".');
    }

    private function label(): string
    {
        return (string) $this->browser->executeScript('return document.activeElement.labels?.[0]?.textContent ?? ""');
    }

    /** How many keywords the sentence shows. */
    private function shownCount(): int
    {
        return $this->await(
            fn(): ?int => ((int) preg_replace('/\D/u', '', $this->find('[data-testid="count"] strong')->getText())) ?: null,
            'Nothing is shown.',
        );
    }

    private function demo(): Study
    {
        $standIn = StandIn::start();
        $standIn->connect();
        $study = $this->makeStudy(self::COMPETITORS, 'thornfield-apiary.example');
        app(PullStudy::class)->execute(new PullOptions($study, 'stand-in', null, 2), static fn() => null);
        $standIn->stop();
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));

        return $study;
    }
}
