<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Every view against axe-core's rules for WCAG 2.2 AA, in light and in dark. */
final class AccessibilityTest extends BrowserTestCase
{
    private const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

    /** @var array<string, list<string>> view → rules broken */
    private array $found = [];

    public function test_no_view_breaks_a_rule_in_light_or_dark(): void
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
        $this->visit('/sign-in');
        $this->find('[name="email"]');
        $this->check('sign-in');
        $this->visit('/welcome#no-link');
        $this->see('Ask an administrator');
        $this->check('welcome');
        $this->signIn($this->makeUser(true)->email, 'correct horse');
        $views = [
            '' => 'Studies and what waits',
            '/people' => 'Invite somebody',
            '/audit' => 'What',
            '/style' => 'Drawings',
            'gather' => 'What was brought in',
            'compare?keyword=fountain+pen' => 'Who holds what',
            'compare?keyword=fountain+pen&dossier=open' => 'Where the figures come from',
            'weigh' => 'What counts',
            'findings' => 'Others stand and we do not',
            'plan' => 'The roadmap is empty',
            'track' => 'Said and happened',
            'rulebook' => 'Visits and value',
            'gather?panel=competitors' => 'Look',
            'gather?panel=clicks' => 'Visits are computed with',
            'compare?view=pages' => 'Traffic leader',
            'compare?view=movement' => 'Our gaps that opened',
            'compare?view=page-one' => 'Ringed',
            'compare?view=advertising' => 'after the stroke',
            'weigh?view=list' => 'Opportunities, best first',
            'weigh?view=map' => 'Areas go with the volume',
            'weigh?view=shortlist' => 'shortlisted yet',
            'weigh?view=groups' => 'Mean chance of target',
            'weigh?view=model' => 'When not to trust it',
        ];
        foreach ($views as $view => $shows) {
            $this->browser->executeScript('localStorage.setItem("mui-mode", "light")');
            $this->visit($view === '' || $view[0] === '/' ? $view : "/studies/{$study->slug}/{$view}");
            $this->see($shows);
            $this->check("{$view} in light");
            // As if it was changed elsewhere; in the dark nothing differs but the colours.
            $this->browser->executeScript(<<<'JS'
                localStorage.setItem('mui-mode', 'dark');
                dispatchEvent(new StorageEvent('storage', { key: 'mui-mode', newValue: 'dark' }));
                JS);
            $this->await(fn(): ?bool => $this->isDark() ?: null, 'It did not get dark.');
            // Until colours that change slowly have changed.
            usleep(350_000);
            $this->check("{$view} in dark", ['color-contrast']);
        }
        self::assertSame([], $this->found);
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
