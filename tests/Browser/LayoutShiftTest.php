<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Models\Study;

/** Nothing moves under the pointer while a view loads: the browser's own layout-shift entries stay below the bound. */
final class LayoutShiftTest extends BrowserTestCase
{
    /** Half of what counts as a good page in the Web Vitals (0.1; from memory). */
    private const MOST = .05;

    /** View → what it shows once it has its data. */
    private const VIEWS = [
        'gather' => 'Imports',
        'rulebook' => 'Visits and value',
        'compare' => 'fountain pen',
        'weigh' => 'Page for',
        'weigh?view=list' => 'fountain pen',
        'weigh?view=model' => 'Limits',
        'findings' => 'Competitors rank for',
        'plan' => 'The roadmap is empty',
        'track' => 'Forecast vs actual',
    ];

    /** Milliseconds for which nothing more is requested before the shifts are counted. */
    private const QUIET = 500;

    public function test_no_view_moves_what_it_shows_while_it_loads(): void
    {
        $study = $this->studyWithOwnClicks();
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $shifts = [];
        foreach (self::VIEWS as $view => $shows) {
            $this->visit("/studies/{$study->slug}/{$view}");
            $this->see($shows);
            $this->awaitQuiet();
            $shifts[$view] = $this->shift();
        }
        self::assertSame([], array_filter($shifts, static fn(array $shift): bool => $shift[0] >= self::MOST));
    }

    private function awaitQuiet(): void
    {
        $last = 'const all = performance.getEntriesByType("resource"); '
            .'return performance.now() - Math.max(...all.map((one) => one.responseEnd))';
        $this->await(fn(): ?bool => $this->browser->executeScript($last) > self::QUIET ?: null, 'Something is requested without end.');
    }

    /** @return array{float, list<string>} the sum of all shifts since the page was opened, and what moved */
    private function shift(): array
    {
        $script = <<<'JS'
            const done = arguments[0];
            const moved = [];
            let sum = 0;
            new PerformanceObserver((list) => {
                for (const entry of list.getEntries().filter((one) => !one.hadRecentInput)) {
                    sum += entry.value;
                    moved.push(...entry.sources.map(({ node }) => (node?.className || node?.nodeName || '') + ' '
                        + (node?.textContent ?? '').slice(0, 60)));
                }
            }).observe({ type: 'layout-shift', buffered: true });
            setTimeout(() => done([sum, moved]), 100);
            JS;
        /** @var array{int|float, list<string>} $found */
        $found = $this->browser->executeAsyncScript($script);

        return [(float) $found[0], $found[1]];
    }

    private function studyWithOwnClicks(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $rows = array_map(static fn(int $n): string => "fountain pen {$n},".(1 + $n % 40).','.(50 + $n * 7).",20\n", range(1, 200));
        foreach (['quillfair.example' => 2, 'inkmoor.example' => 1] as $domain => $every) {
            $list = array_filter($rows, static fn(int $at): bool => $at % $every === 0, ARRAY_FILTER_USE_KEY);
            $of = ['--domain' => $domain, '--date' => '2026-11-01'];
            $this->import($study, "keyword,position,volume,difficulty\n".implode('', $list), options: $of);
        }
        $click = static fn(int $n): string => "fountain pen {$n},https://quillfair.example/p{$n},60,900,".(1 + $n % 12)."\n";
        $clicks = array_map($click, range(1, 60));
        $this->import($study, "query,page,clicks,impressions,position\n".implode('', $clicks), 'performance');
        $this->command('reach:weigh', ['slug' => $study->slug]);

        return $study;
    }
}
