<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/**
 * Every clause of the sentence, alone, in company and in brackets, held to a plain reading of the rows that the bench gives
 * without a sentence.
 *
 * @phpstan-type Row array<string, mixed>
 */
final class SentenceTest extends TestCase
{
    private const DOMAINS = ['quillfair.example', 'inkmoor.example', 'nibhouse.example'];

    /** Rows drawn at a time, so that a failure shows on paper. */
    private const KEYWORDS = 120;

    private static ?Study $study = null;

    /** @var list<Row> */
    private static array $rows = [];

    public static function tearDownAfterClass(): void
    {
        self::$study = null;
        self::$rows = [];
    }

    public function test_every_clause_alone_shows_the_rows_it_names(): void
    {
        $this->prepare();
        foreach (self::clauses() as $clause => $fits) {
            $expected = self::kept([$fits]);
            self::assertSame($expected, $this->shown($clause), $clause);
        }
    }

    public function test_most_clauses_show_some_rows_and_hide_some(): void
    {
        $this->prepare();
        $telling = array_filter(
            self::clauses(),
            static fn(\Closure $fits): bool => !\in_array(\count(self::kept([$fits])), [0, self::KEYWORDS], true),
        );
        self::assertGreaterThan(
            0.9 * \count(self::clauses()),
            \count($telling),
            'The data are varied enough for the checks above to mean something.',
        );
    }

    public function test_clauses_together_all_hold(): void
    {
        $this->prepare();
        $random = new Randomizer(new Mt19937(5));
        $clauses = self::clauses();
        for ($turn = 0; $turn < 60; ++$turn) {
            $chosen = self::some($random, $clauses, $random->getInt(2, 4));
            self::assertSame(
                self::kept(array_map(static fn(string $clause): \Closure => $clauses[$clause], $chosen)),
                $this->shown(implode(';', $chosen)),
                implode(';', $chosen),
            );
        }
    }

    public function test_in_brackets_one_of_them_is_enough(): void
    {
        $this->prepare();
        $random = new Randomizer(new Mt19937(6));
        $clauses = array_filter(
            self::clauses(),
            static fn(string $clause): bool => !str_contains($clause, '|') && !str_contains($clause, '('),
            ARRAY_FILTER_USE_KEY,
        );
        for ($turn = 0; $turn < 40; ++$turn) {
            $chosen = self::some($random, $clauses, $random->getInt(2, 4));
            $outside = array_pop($chosen);
            $any = static fn(array $row): bool => array_filter($chosen, static fn(string $clause): bool => $clauses[$clause]($row)) !== [];
            $sentence = '('.implode('|', $chosen).');'.$outside;
            self::assertSame(self::kept([$any, $clauses[$outside]]), $this->shown($sentence), $sentence);
        }
    }

    public function test_counts_and_distributions_count_the_rows_shown(): void
    {
        $this->prepare();
        $random = new Randomizer(new Mt19937(7));
        $clauses = self::clauses();
        $at = '/api/v1/studies/'.$this->study()->slug.'/bench';
        $figures = [
            'volume' => 'volume', 'difficulty' => 'difficulty', 'gain' => 'gain', 'cpc' => 'cpc', 'own' => 'own', 'words' => 'words',
        ];
        foreach ($figures as $field => $figure) {
            $chosen = self::some($random, $clauses, 2);
            $show = implode(';', $chosen);
            $rows = array_values(
                array_filter(self::$rows, static fn(array $row): bool => $clauses[$chosen[0]]($row) && $clauses[$chosen[1]]($row)),
            );
            $summary = $this->getJson("{$at}/summary?".http_build_query(['show' => $show]))
                ->assertOk()
                ->json();
            self::assertSame(\count($rows), $summary['keywords'], $show);
            self::assertEqualsWithDelta(array_sum(array_column($rows, 'volume')), $summary['volume'] ?? 0, 1e-6, $show);
            self::assertEqualsWithDelta(array_sum(array_column($rows, 'gain')), $summary['gain'] ?? 0, 1e-6, $show);
            $spread = $this->getJson("{$at}/distribution?".http_build_query(['show' => $show, 'field' => $field]))
                ->assertOk()
                ->json();
            $without = self::kept(
                array_map(
                    static fn(string $clause): \Closure => str_starts_with($clause, $field)
                        ? static fn(array $row): bool => true
                        : $clauses[$clause],
                    $chosen,
                ),
            );
            self::assertSame(
                \count($without),
                $spread['unknown'] + array_sum(array_column($spread['bins'], 'keywords')),
                "{$field}: {$show}",
            );
        }
    }

    public function test_a_sentence_that_shows_nothing_says_which_clause_took_the_last_row(): void
    {
        $this->prepare();
        $summary = $this->getJson(
            '/api/v1/studies/'.
                $this->study()->slug.
                '/bench/summary?'.
                http_build_query(['show' => 'standing=gap;volume>=100;own<=20;words>=1']),
        )->assertOk();
        $summary->assertJsonPath('keywords', 0);
        self::assertSame(['standing=gap', 'volume>=100', 'own<=20'], array_column($summary->json('steps'), 'clause'));
        self::assertSame(0, $summary->json('steps.2.keywords'));
        self::assertGreaterThan(0, $summary->json('steps.1.keywords'));
    }

    /** @return array<string, \Closure(Row): bool> clause → whether it lets a row through, read plainly */
    private static function clauses(): array
    {
        $clauses = [];
        $number = static function (string $name, string $field, float $bound) use (&$clauses): void {
            $clauses["{$name}>={$bound}"] = static fn(array $row): bool => $row[$field] !== null && $row[$field] >= $bound;
            $clauses["{$name}<={$bound}"] = static fn(array $row): bool => $row[$field] !== null && $row[$field] <= $bound;
        };
        foreach (
            [
                'volume' => 300.0,
                'difficulty' => 40.0,
                'cpc' => 1.25,
                'words' => 3.0,
                'gain' => 5.0,
                'potential' => 30.0,
                'above' => 1.0,
                'expected' => 2.25,
                'links' => 4.0,
                'chance' => 0.375,
            ] as $name => $bound
        ) {
            $number(
                $name,
                ['above' => 'competitors_above', 'expected' => 'expected_gain', 'links' => 'links_to_earn', 'chance' => 'win_chance'][
                    $name
                ] ?? $name,
                $bound,
            );
        }
        $number('visits', 'visits_now', 1.5);
        foreach (['gap', 'behind', 'ahead', 'alone', 'unclaimed'] as $standing) {
            $clauses["standing={$standing}"] = static fn(array $row): bool => $row['standing'] === $standing;
        }
        $clauses['standing=gap,alone'] = static fn(array $row): bool => \in_array($row['standing'], ['gap', 'alone'], true);
        foreach ([10, 20, 50, 100] as $top) {
            foreach ([1, 2] as $count) {
                $within = static fn(array $row): int => \count(
                    array_filter(
                        \array_slice($row['positions'], 1),
                        static fn(?int $position): bool => $position !== null && $position <= $top,
                    ),
                );
                $clauses["competitors>={$count}@{$top}"] = static fn(array $row): bool => $within($row) >= $count;
                $clauses["competitors={$count}@{$top}"] = static fn(array $row): bool => $within($row) === $count;
            }
        }
        $clauses['competitors<=1'] = static fn(array $row): bool => \count(array_filter(\array_slice($row['positions'], 1), is_int(...))) <=
            1;
        foreach (['own' => 0, 'p1' => 1, 'p2' => 2] as $name => $domain) {
            $clauses["{$name}<=20"] = static fn(array $row): bool => $row['positions'][$domain] !== null &&
                $row['positions'][$domain] <= 20;
            $clauses["{$name}>=11"] = static fn(array $row): bool => $row['positions'][$domain] !== null &&
                $row['positions'][$domain] >= 11;
            $clauses["{$name}=absent"] = static fn(array $row): bool => $row['positions'][$domain] === null;
        }
        foreach (range(1, 7) as $mask) {
            $clauses["combination={$mask}"] = static fn(array $row): bool => self::presence($row) === $mask;
        }
        $clauses['holds=0,2'] = static fn(array $row): bool => (self::presence($row) & 5) === 5;
        $clauses['lacks=1'] = static fn(array $row): bool => (self::presence($row) & 2) === 0;
        $clauses['text=ink'] = static fn(array $row): bool => array_intersect(explode(' ', $row['keyword']), ['ink', 'inks', 'inkes']) !==
            [];
        $clauses['text=pen -blue'] = static fn(array $row): bool => array_intersect(explode(' ', $row['keyword']), [
            'pen',
            'pens',
            'penes',
        ]) !== [] && !str_contains($row['keyword'], 'blue');
        $clauses['regex=^(buy|how)'] = static fn(array $row): bool => preg_match('/^(buy|how)/', $row['keyword']) === 1;
        $clauses['regex=[0-4]$'] = static fn(array $row): bool => preg_match('/[0-4]$/', $row['keyword']) === 1;
        foreach (['buy', 'compare', 'learn', 'open'] as $intent) {
            $clauses["intent={$intent}"] = static fn(array $row): bool => $row['intent'] === $intent;
        }
        foreach (['quick win', 'short term', 'long term'] as $horizon) {
            $clauses["horizon={$horizon}"] = static fn(array $row): bool => $row['horizon'] === $horizon;
        }
        foreach (['new page', 'improve page', 'extend page'] as $tactic) {
            $clauses["tactic={$tactic}"] = static fn(array $row): bool => \in_array($row['tactic'], [$tactic, $tactic.' + links'], true);
        }
        foreach (['entered', 'left', 'climbed', 'slipped'] as $movement) {
            $clauses["movement={$movement}"] = static fn(array $row): bool => $row['movement'] === $movement;
        }
        $clauses['mark=shortlisted'] = static fn(array $row): bool => $row['mark'] === 'shortlisted';
        $clauses['mark=set aside'] = static fn(array $row): bool => $row['mark'] === 'set aside';
        $clauses['mark=open'] = static fn(array $row): bool => $row['mark'] === null;
        $clauses['mark=kept'] = static fn(array $row): bool => $row['mark'] !== 'set aside';
        $clauses['tag=autumn'] = static fn(array $row): bool => \in_array('autumn', $row['tags'], true);
        $clauses['conflict=yes'] = static fn(array $row): bool => $row['page_conflict'];

        return $clauses;
    }

    /**
     * @param array<string, \Closure(Row): bool> $clauses
     *
     * @return list<string>
     */
    private static function some(Randomizer $random, array $clauses, int $count): array
    {
        return array_map(strval(...), \array_slice($random->shuffleArray(array_keys($clauses)), 0, $count));
    }

    /** @param Row $row */
    private static function presence(array $row): int
    {
        $mask = 0;
        foreach ($row['positions'] as $domain => $position) {
            $mask |= $position === null ? 0 : 1 << $domain;
        }

        return $mask;
    }

    /**
     * @param list<\Closure(Row): bool> $conditions
     *
     * @return list<string> in key order
     */
    private static function kept(array $conditions): array
    {
        $rows = array_filter(
            self::$rows,
            static fn(array $row): bool => array_filter($conditions, static fn(\Closure $fits): bool => !$fits($row)) === [],
        );
        $keywords = array_column($rows, 'keyword');
        sort($keywords, SORT_STRING);

        return $keywords;
    }

    /** @return list<string> in key order */
    private function shown(string $show): array
    {
        $keywords = array_column($this->rows($show), 'keyword');
        sort($keywords, SORT_STRING);

        return $keywords;
    }

    /** @return list<Row> */
    private function rows(string $show): array
    {
        return $this->getJson('/api/v1/studies/'.$this->study()->slug.'/bench?'.http_build_query(['show' => $show, 'limit' => 200]))
            ->assertOk()
            ->json('rows');
    }

    private function study(): Study
    {
        return self::$study ?? throw new \LogicException('prepare() comes first.');
    }

    private function prepare(): void
    {
        $isNew = self::$study === null;
        self::$study ??= $this->filled();
        $this->actingAs($this->makeEditor(self::$study));
        if ($isNew) {
            $this->decide();
            self::$rows = $this->rows('');
            self::assertCount(self::KEYWORDS, self::$rows);
        }
    }

    private function decide(): void
    {
        $at = '/api/v1/studies/'.$this->study()->slug.'/decisions';
        $this->postJson($at, ['show' => 'regex=[05]$', 'mark' => 'shortlisted', 'reason' => 'worth it'])->assertOk();
        $this->postJson($at, ['show' => 'regex=[17]$', 'mark' => 'set aside', 'reason' => 'not ours'])->assertOk();
        $this->postJson($at, ['show' => 'volume>=500', 'tag' => 'autumn'])->assertOk();
    }

    private function filled(): Study
    {
        $random = new Randomizer(new Mt19937(3));
        $study = $this->makeStudy(\array_slice(self::DOMAINS, 1), self::DOMAINS[0]);
        $keywords = [];
        for ($number = 0; $number < self::KEYWORDS; ++$number) {
            $keywords[] =
                ['buy ', 'best ', 'how to choose ', 'blue ', ''][$number % 5].
                ['pen', 'ink', 'nibs', 'paper box'][$number % 4].
                ' '.
                $number;
        }
        $maybe = static fn(int|float $value): string => $random->getInt(0, 3) === 0 ? '' : (string) $value;
        $this->import(
            $study,
            "keyword,volume,difficulty,cpc\n".
                implode(
                    '',
                    array_map(
                        static fn(string $keyword): string => "{$keyword},{$maybe(10 * $random->getInt(0, 99))},{$maybe(
                            $random->getInt(0, 1000) / 10,
                        )},{$maybe($random->getInt(0, 300) / 100)}\n",
                        $keywords,
                    ),
                ),
            'keywords',
        );
        foreach (['2026-10-01', '2026-11-01'] as $day) {
            foreach (self::DOMAINS as $domain) {
                $lines = '';
                foreach ($keywords as $keyword) {
                    for ($pages = $random->getInt(0, 3); $pages > 1; --$pages) {
                        $lines .= "{$keyword},{$random->getInt(1, 70)},https://{$domain}/page-{$random->getInt(1, 30)}\n";
                    }
                }
                $this->import($study, "keyword,position,url\n".$lines, options: ['--domain' => $domain, '--date' => $day]);
            }
        }
        $results = array_map(
            static fn(string $keyword): string => implode(
                '',
                array_map(
                    static fn(int $place): string => "{$keyword},{$place},https://site-{$place}.example/a,{$random->getInt(0, 30)}\n",
                    range(1, 5),
                ),
            ),
            \array_slice($keywords, 0, 60),
        );
        $this->import($study, "keyword,position,url,referring_domains\n".implode('', $results), 'results', ['--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $study->slug]);

        return $study->refresh();
    }
}
