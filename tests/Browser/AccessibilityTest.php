<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Study;

/** Every view against axe-core's rules for WCAG 2.2 AA, in light and in dark. */
final class AccessibilityTest extends BrowserTestCase
{
    private const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

    /** What opens on a view: where, what is waited for, by which keys or on which element, and what it shows then. */
    private const OPENED = [
        'clauses to add' => ['compare', 'Keyword overlap', 'f', 'Words per keyword'],
        'a clause' => ['compare?show=volume%3E%3D10', 'Keyword overlap', '[data-clause="volume"]', 'Remove'],
        'lenses' => ['compare', 'Keyword overlap', 'l', 'All competitors rank, we don’t'],
        'noise' => ['compare', 'Keyword overlap', 'n', 'Noise to hide'],
        'what is taken along' => ['compare', 'Keyword overlap', '#export-menu', 'The sentence as the first line'],
        'columns' => ['compare', 'Keyword overlap', '[aria-label="Columns"]', 'Shorter rows'],
        'commands' => ['compare', 'Keyword overlap', ':', 'Weigh: Map'],
        'keys' => ['compare', 'Keyword overlap', '?', 'move by page, or to the start or end'],
        'a reason' => ['weigh?view=list&show=mark%3Dkept', 'fountain pen', 'js', 'Enter saves it'],
        'a page judged' => ['weigh?view=pages&show=mark%3Dkept', 'fountain pen', 'je', 'This applies to'],
        'the auto-plan' => ['plan', 'By ', 'a', 'Proposed plan'],
        'the goal' => ['plan', 'By ', 'o', 'Plan for a goal'],
        'an item' => ['plan', 'fountain pen', 'j', 'For a writer without an account'],
        'the person' => ['compare', 'Keyword overlap', 'header [aria-haspopup]', 'Sign out'],
    ];

    /** @var array<string, list<string>> view → rules broken */
    private array $found = [];

    public function test_no_view_breaks_a_rule_in_light_or_dark(): void
    {
        $study = $this->studyOfPens();
        $this->visit('/sign-in');
        $this->find('[name="email"]');
        $this->check('sign-in');
        $this->visit('/welcome#no-link');
        $this->see('Ask an administrator');
        $this->check('welcome');
        $this->signIn($this->makeUser(true)->email, 'correct horse');
        $views = [
            '' => 'Studies',
            '/people' => 'Invite a person',
            '/audit' => 'What',
            '/style' => 'Drawings',
            'gather' => 'Imports',
            'compare?keyword=fountain+pen' => 'Keyword overlap',
            'compare?keyword=fountain+pen&dossier=open' => 'Sources of the figures',
            'weigh' => 'Weights',
            'findings' => 'Competitors rank for',
            'plan' => 'The roadmap is empty',
            'track' => 'Forecast vs actual',
            'rulebook' => 'Visits and value',
            'gather?panel=competitors' => 'Look',
            'gather?panel=clicks' => 'Visits use',
            'compare?view=pages' => 'Traffic leader',
            'compare?view=movement' => 'Gaps opened',
            'compare?view=page-one' => 'Ringed',
            'compare?view=advertising' => 'Organic position / paid position',
            'weigh?view=list' => 'opportunities',
            'weigh?view=map' => 'Size: volume',
            'weigh?view=shortlist' => 'shortlisted yet',
            'weigh?view=groups' => 'Mean chance of target',
            'weigh?view=model' => 'Limits',
        ];
        foreach ($views as $view => $shows) {
            $this->browser->executeScript('localStorage.setItem("mui-mode", "light")');
            $this->visit($view === '' || $view[0] === '/' ? $view : "/studies/{$study->slug}/{$view}");
            $this->see($shows);
            $this->checkInBoth($view);
        }
        self::assertSame([], $this->found);
    }

    public function test_nothing_that_opens_breaks_a_rule_in_light_or_dark(): void
    {
        $study = $this->studyOfPens();
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/plan");
        $this->see('The roadmap is empty');
        $this->press('a');
        $this->see('Proposed plan');
        $this->clickText('Apply plan', 'button');
        $this->see('visits a month');
        foreach (self::OPENED as $name => [$view, $shows, $opens, $opened]) {
            $this->browser->executeScript('localStorage.setItem("mui-mode", "light")');
            $this->visit("/studies/{$study->slug}/{$view}");
            $this->see($shows);
            \strlen($opens) > 2 ? $this->click($opens) : $this->press($opens);
            $this->see($opened);
            $this->checkInBoth($name);
        }
        self::assertSame([], $this->found);
    }

    /** What is open on the page, in light, and as if that was changed elsewhere, in the dark, where nothing differs but the colours. */
    private function checkInBoth(string $view): void
    {
        $this->check("{$view} in light");
        $this->browser->executeScript(<<<'JS'
            localStorage.setItem('mui-mode', 'dark');
            dispatchEvent(new StorageEvent('storage', { key: 'mui-mode', newValue: 'dark' }));
            JS);
        $this->await(fn(): ?bool => $this->isDark() ?: null, 'It did not get dark.');
        // Until colours that change slowly have changed.
        usleep(350_000);
        $this->check("{$view} in dark", ['color-contrast']);
    }

    private function studyOfPens(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url,volume,difficulty\nfountain "
                ."pen,12,https://quillfair.example/pens,1000,20\nink,8,https://quillfair.example/ink,400,35\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-10-01'],
        );
        $this->import(
            $study,
            "keyword,position,url,volume,difficulty\nfountain "
                ."pen,3,https://inkmoor.example/pens,1000,20\nwax,9,https://inkmoor.example/wax,90,8\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->command('reach:weigh', ['slug' => $study->slug]);

        return $study;
    }

    private function isDark(): bool
    {
        $script = 'return getComputedStyle(document.body).backgroundColor.match(/\\d+/g).slice(0, 3).every((part) => part < 100)';

        return $this->browser->executeScript($script) === true;
    }

    /** @param list<string> $rules */
    private function check(string $view, array $rules = self::RULES): void
    {
        $this->browser->executeScript((string) file_get_contents(base_path('node_modules/axe-core/axe.min.js')));
        /** @var list<array{id: string, nodes: list<array{html: string, failureSummary: string}>}> $violations */
        $violations = $this->browser->executeAsyncScript(
            'const done = arguments[arguments.length - 1]; axe.run(document, { runOnly: arguments[0] }).then((result) => '
                .'done(result.violations))',
            [$rules],
        );
        $found = array_map(
            static fn(array $violation): string => $violation['id'].
                ': '.
                implode(
                    "\n    ",
                    array_map(
                        static fn(array $node): string => substr($node['html'], 0, 160).
                            ' — '.
                            str_replace("\n", ' ', substr($node['failureSummary'], 0, 260)),
                        array_slice($violation['nodes'], 0, 4),
                    ),
                ),
            $violations,
        );
        if ($found !== []) {
            $this->found[$view] = $found;
        }
    }
}
