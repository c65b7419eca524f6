<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Study;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;

/** Quick fingers and narrow windows. */
final class QuickHandsTest extends BrowserTestCase
{
    private const ROWS = 12;

    /** Whether the row the keys act on lies whole between the headings and the lower edge of its list. */
    private const IN_SIGHT = <<<'JS'
        const row = document.querySelector('.bench-row.is-selected');
        if (row?.dataset.keyword !== arguments[0]) { return null; }
        const list = row.closest('[role=table]');
        const { top, bottom } = row.getBoundingClientRect();
        const headings = list.firstElementChild.getBoundingClientRect();
        return top >= headings.bottom - 1 && bottom <= list.getBoundingClientRect().top + list.clientHeight + 1;
        JS;

    /** A finger that bounces: both presses within one turn of the page, however slow the machine. */
    private const TWICE = <<<'JS'
        for (let press = 0; press < 2; ++press) {
            document.body.dispatchEvent(new KeyboardEvent('keydown', { key: arguments[0], bubbles: true }));
        }
        JS;

    public function test_every_key_acts_on_the_row_it_was_meant_for(): void
    {
        $study = $this->opened();
        foreach (['compare' => 'Keyword overlap', 'weigh?view=list' => 'Weights'] as $stage => $shows) {
            DB::table('decisions')->where('study_id', $study->id)->delete();
            $this->visit("/studies/{$study->slug}/{$stage}");
            $this->see($shows);
            $rows = \array_slice(
                $this->await(fn(): ?array => \count($this->keywords()) >= self::ROWS ? $this->keywords() : null, 'Too few rows.'),
                0,
                8,
            );
            // One after the other without a pause: shortlist six, set two aside.
            $this->press('jsjsjsjsjsjsjxjx');
            $wanted = [
                ...array_fill_keys(\array_slice($rows, 0, 6), 'shortlisted'),
                ...array_fill_keys(\array_slice($rows, 6), 'set aside'),
            ];
            $marks = fn(): array => DB::table('decisions')
                ->where('study_id', $study->id)
                ->whereNotNull('mark')
                ->pluck('mark', 'keyword')
                ->all();
            ksort($wanted);
            $this->await(static function () use ($marks, $wanted): ?bool {
                $now = $marks();
                ksort($now);

                return $now === $wanted ?: null;
            }, "In {$stage} the marks are not those that were pressed.");
            $this->await(
                fn(): ?bool => \count(array_intersect(\array_slice($rows, 6), $this->keywords())) === 0 ?: null,
                'What was set aside is still on show.',
            );
            $this->press('uu');
            $this->await(static fn(): ?bool => \count($marks()) === 6 ?: null, 'The last two were not taken back.');
        }
    }

    public function test_what_is_refused_is_as_it_was_and_says_why(): void
    {
        $study = $this->opened();
        $this->visit("/studies/{$study->slug}/compare");
        $rows = $this->await(fn(): ?array => \count($this->keywords()) >= self::ROWS ? $this->keywords() : null, 'Too few rows.');
        // The page was read by an editor, who is none any more.
        DB::table('study_members')->where('study_id', $study->id)->update(['role' => 'reader']);
        $this->press('jx');
        $this->see('Your role in this study doesn’t allow that.');
        $this->await(fn(): ?bool => \in_array($rows[0], $this->keywords(), true) ?: null, 'The row did not come back.');
        self::assertSame(0, DB::table('decisions')->where('study_id', $study->id)->whereNotNull('mark')->count());
    }

    public function test_a_second_press_within_a_second_takes_nothing_back(): void
    {
        $study = $this->opened();
        $this->visit("/studies/{$study->slug}/weigh?view=list");
        $this->await(fn(): ?bool => \count($this->keywords()) >= self::ROWS ?: null, 'Too few rows.');
        $this->press('j');
        $this->browser->executeScript(self::TWICE, ['s']);
        $this->await(
            static fn(): ?bool => DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->count() === 1 ?:
            null,
            'The mark did not stay.',
        );
        usleep(1_200_000);
        self::assertSame(1, DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->count());
        $this->press('s');
        $this->await(
            static fn(): ?bool => DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->doesntExist() ?:
            null,
            'Later it takes the mark off.',
        );
    }

    public function test_the_row_that_was_reached_is_in_sight(): void
    {
        $study = $this->opened();
        $down = range(0, self::ROWS - 1);
        $steps = [
            ...array_map(static fn(int $place): array => ['j', $place], $down),
            ...array_map(static fn(int $place): array => ['k', $place], array_reverse(\array_slice($down, 0, -1))),
        ];
        foreach (['compare', 'weigh?view=list'] as $stage) {
            $this->show(1280, 800);
            $this->visit("/studies/{$study->slug}/{$stage}");
            $rows = $this->await(fn(): ?array => \count($this->keywords()) >= self::ROWS ? $this->keywords() : null, 'Too few rows.');
            $this->show(1280, 400);
            foreach ([...$steps, [WebDriverKeys::END, self::ROWS - 1], [WebDriverKeys::HOME, 0]] as [$key, $place]) {
                $this->press($key);
                $this->await(
                    fn(): ?bool => $this->browser->executeScript(self::IN_SIGHT, [$rows[$place]]) === true ?: null,
                    "In {$stage} \"{$rows[$place]}\" is not in sight.",
                );
            }
        }
    }

    public function test_the_sentence_is_undone_by_itself_and_takes_what_is_typed(): void
    {
        $study = $this->opened();
        $this->visit("/studies/{$study->slug}/compare");
        $this->see('Keyword overlap');
        $this->press('z');
        $this->click('#add-clause');
        $this->clickText('Volume', 'li');
        $this->await(
            fn(): ?bool => $this->browser->executeScript('return document.activeElement.tagName') === 'INPUT' ?: null,
            'The editor does not take the focus.',
        );
        $this->press(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'450'.WebDriverKeys::ENTER);
        $this->see('volume from 450');
        $this->press('z');
        $this->seeNot('volume from 450');
        $this->press('Z');
        $this->see('volume from 450');
        self::assertStringContainsString('/compare', $this->browser->getCurrentURL(), 'It leaves no stage.');
        foreach (['chance>=0.5' => 'win chance from 50%', 'm0=climbed' => 'climbed'] as $clause => $reads) {
            $this->visit("/studies/{$study->slug}/compare?show=".urlencode($clause));
            $this->see($reads);
            $this->seeNot('apply here');
        }
    }

    public function test_what_was_decided_in_bulk_and_left_the_list_is_chosen_no_longer(): void
    {
        $study = $this->opened();
        $this->visit("/studies/{$study->slug}/compare?show=mark%3Dopen");
        $this->see('Keyword overlap');
        $this->await(fn(): ?bool => \count($this->keywords()) >= self::ROWS ?: null, 'Too few rows.');
        $this->press('jvjv');
        $this->see('2 chosen');
        $this->press('b'.WebDriverKeys::ENTER);
        $this->await(
            fn(): ?bool => $this->browser->executeScript('return document.activeElement.tagName') === 'INPUT' ?: null,
            'No field for the reason.',
        );
        $this->press('why not'.WebDriverKeys::ENTER);
        $this->seeNot('chosen');
        $this->await(
            static fn(): ?bool => DB::table('decisions')->where('study_id', $study->id)->where('reason', 'why not')->count() === 2 ?: null,
            'They were not shortlisted.',
        );
    }

    public function test_no_view_scrolls_sideways_at_any_width(): void
    {
        $study = $this->opened();
        $views = [
            '',
            'gather',
            'gather?panel=competitors',
            'compare',
            'compare?keyword=pen+1&dossier=open',
            'compare?view=pages',
            'compare?view=movement',
            'compare?view=page-one',
            'compare?view=advertising',
            'weigh',
            'weigh?view=list',
            'weigh?keyword=pen+1&dossier=open',
            'weigh?view=map',
            'weigh?view=groups',
            'weigh?view=shortlist',
            'weigh?view=model',
            'plan',
            'track',
            'rulebook',
        ];
        $wide = [];
        foreach ($views as $view) {
            $this->visit($view === '' ? '/' : "/studies/{$study->slug}/{$view}");
            $this->find('main');
            str_contains($view, 'dossier') && $this->see('Sources of the figures');
            foreach ([640 => 400, 1024 => 768, 1280 => 800, 1920 => 1080] as $width => $height) {
                $this->show($width, $height);
                $fits = 'document.scrollingElement.scrollWidth <= window.innerWidth';
                if (!$this->comesToRest($fits)) {
                    $this->showAnew($width, $height);
                }
                if (!$this->comesToRest($fits)) {
                    $wide[] = "{$view} at {$width}: ".implode(' | ', $this->beyondTheEdge());
                }
                if (
                    str_contains($view, 'dossier') &&
                    !$this->comesToRest('[document.querySelector("[aria-label=Dossier]")].every((it) => it.scrollWidth <= it.clientWidth)')
                ) {
                    $wide[] = "dossier of {$view} at {$width}";
                }
            }
        }
        self::assertSame([], $wide);
    }

    public function test_a_new_study_says_what_to_do_first(): void
    {
        $study = $this->makeStudy();
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        foreach (
            ['compare' => 'Nothing to compare yet', 'weigh' => 'Nothing to weigh yet', 'plan' => 'Nothing to plan yet'] as $stage => $says
        ) {
            $this->visit("/studies/{$study->slug}/{$stage}");
            $this->see($says);
        }
        $this->seeNot('Comparing again');
    }

    /** Whether it holds once everything has found its place in the window. */
    private function comesToRest(string $condition): bool
    {
        for ($try = 0; $try < 40; ++$try) {
            if ($this->browser->executeScript("return {$condition}") === true) {
                return true;
            }
            usleep(50_000);
        }

        return false;
    }

    /** @return list<string> What reaches beyond the right edge of the window, to be told when the test fails. */
    private function beyondTheEdge(): array
    {
        return $this->browser->executeScript(<<<'JS'
            return [...document.querySelectorAll('body *')]
                .filter((it) => it.getBoundingClientRect().right > innerWidth + 1)
                .slice(0, 12)
                .map((it) => `${it.tagName} ${Math.round(it.getBoundingClientRect().right)} ${it.textContent.slice(0, 40)}`);
            JS);
    }

    private function show(int $width, int $height): void
    {
        $this->browser->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => 'Emulation.setDeviceMetricsOverride',
            'params' => ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false],
        ]);
        usleep(50_000);
    }

    /** Rules that come in while the window changes now and then keep to the width before; the next change sets that right. */
    private function showAnew(int $width, int $height): void
    {
        $this->show($width > 1000 ? 640 : 1280, $height);
        $this->show($width, $height);
    }

    private function opened(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $ours = $theirs = $words = '';
        for ($number = 1; $number <= self::ROWS; ++$number) {
            $ours .= "pen {$number},".(10 + $number).",https://quillfair.example/pen-{$number}\n";
            $theirs .= "pen {$number},{$number},https://inkmoor.example/pen-{$number}\n";
            $words .= "pen {$number},".(100 * $number).','.(3 * $number)."\n";
        }
        $this->import($study, "keyword,position,url\n".$ours, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, "keyword,position,url\n".$theirs, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->import($study, "keyword,volume,difficulty\n".$words, 'keywords');
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');

        return $study;
    }
}
