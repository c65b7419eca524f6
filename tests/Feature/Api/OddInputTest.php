<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Vocabulary\WriteContract;
use App\Models\Study;
use App\Models\User;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whatever stands where a number, a name or a list is expected: the answer is a result or a refusal that says where, never a breakdown. */
final class OddInputTest extends TestCase
{
    private const CLAUSES = [
        'standing',
        'competitors',
        'own',
        'p1',
        'p2',
        'p9',
        'p99',
        'm0',
        'm1',
        'm99',
        'combination',
        'holds',
        'lacks',
        'gaps',
        'page',
        'features',
        'paid',
        'conflict',
        'text',
        'regex',
        'brands',
        'codes',
        'navigational',
        'negatives',
        'mark',
        'tag',
        'fit',
        'dated',
        'stage',
        'tactic',
        'topic',
        'movement',
        'horizon',
        'intent',
        'season',
        'volume',
        'difficulty',
        'cpc',
        'competition',
        'words',
        'gain',
        'visits',
        'potential',
        'chance',
        'expected',
        'links',
        'above',
        'best',
        'peak',
        'nothing',
    ];
    private const VALUES = [
        '',
        '0',
        '2.5',
        '-1',
        '40000',
        '3000000000',
        '999999999999',
        '99999999999999999999',
        '1e9',
        '0x1f',
        'NaN',
        '٣',
        'absent',
        'a,b',
        ',',
        '1@20',
        '99@100',
        '1@7',
        '^(',
        '(a|b',
        '\\',
        '[[:x:]]',
        '%',
        "'",
        '"',
        '2026-02-30',
        '0000-00-00',
        '9999-12-31',
        'https://',
        'http://[::1',
        '-',
        '- -',
        'é',
        '😀',
    ];

    private Study $study;

    private User $person;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy();
        $this->import(
            $this->study,
            "keyword,position,volume,difficulty,cpc,url\nfountain pen,12,1000,20,1.5,https://quillfair.example/pens\nink,8,400,,,\n",
            options: ['--domain' => 'quillfair.example'],
        );
        $this->import(
            $this->study,
            "keyword,position,volume\nfountain pen,3,1000\nblotting paper,5,250\n",
            options: ['--domain' => 'inkmoor.example'],
        );
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->person = $this->makeEditor($this->study);
        $this->actingAs($this->person);
    }

    public function test_every_clause_stands_any_value(): void
    {
        foreach (self::CLAUSES as $place => $name) {
            foreach (['=', '>=', '<='] as $turn => $operator) {
                foreach (self::VALUES as $number => $value) {
                    // Every value with the first operator; a third of them, another one for each clause, with the others.
                    if ($turn > 0 && ($place + $turn + $number) % 3 > 0) {
                        continue;
                    }
                    $clause = $name.$operator.$value;
                    $answer = $this->getJson("/api/v1/studies/{$this->study->slug}/bench?".http_build_query(['show' => $clause]));
                    self::assertContains($answer->getStatusCode(), [200, 422], $clause.': '.substr((string) $answer->getContent(), 0, 300));
                    if ($answer->getStatusCode() === 422) {
                        self::assertStringContainsString($name, (string) $answer->json('detail'), "The refusal of {$clause} points at it.");
                    }
                }
            }
        }
    }

    public function test_brackets_that_do_not_close_are_told(): void
    {
        foreach (
            [
                '(',
                '()',
                '(|)',
                '(own<=3',
                'own<=3)',
                '((own<=3))',
                '(own<=3|)',
                '(own<=3|nothing=1)',
                str_repeat('own<=3;', 41),
                str_repeat('x', 4001),
            ] as $sentence
        ) {
            $answer = $this->getJson("/api/v1/studies/{$this->study->slug}/bench/summary?".http_build_query(['show' => $sentence]));
            self::assertSame(422, $answer->getStatusCode(), $sentence);
            self::assertNotSame('', $answer->json('detail'), $sentence);
        }
    }

    /** @return iterable<string, array{mixed}> */
    public static function oddities(): iterable
    {
        yield 'nothing' => [null];
        yield 'an empty text' => [''];
        yield 'a text' => ['odd'];
        yield 'a very long text' => [str_repeat('long ', 20_000)];
        yield 'a negative number' => [-1];
        yield 'a huge number' => [9_223_372_036_854_775_807];
        yield 'a number beyond all' => [1e300];
        yield 'a fraction' => [2.5];
        yield 'yes' => [true];
        yield 'an empty list' => [[]];
        yield 'a list of lists' => [[[['deep']]]];
        yield 'an object' => [['a' => ['b' => 'c']]];
        yield 'a list of odd things' => [[null, 1, 'x', ['y']]];
    }

    /** Every field that the description of the API names, at every door, one by one and all at once. */
    #[DataProvider('oddities')]
    public function test_every_field_of_every_body_stands_odd_values(mixed $odd): void
    {
        foreach (self::described() as [$method, $path, $operation]) {
            $fields = self::fields($operation);
            foreach (
                [...array_map(static fn(string $field): array => [$field => $odd], $fields), array_fill_keys($fields, $odd)] as $body
            ) {
                $this->assertAnswered(
                    $this->json($method, $this->fill($path), $body),
                    "{$method} {$path} ".implode(', ', array_keys($body)),
                );
            }
        }
        self::assertTrue(Study::query()->whereKey($this->study->id)->exists());
    }

    #[DataProvider('oddities')]
    public function test_every_question_stands_odd_values(mixed $odd): void
    {
        foreach (self::described() as [$method, $path, $operation]) {
            foreach (array_column($operation['parameters'] ?? [], 'name') as $name) {
                $this->assertAnswered(
                    $this->json(
                        $method,
                        $this->fill($path).'?'.http_build_query([$name => \is_string($odd) ? substr($odd, 0, 5000) : $odd]),
                    ),
                    "{$method} {$path} {$name}",
                );
            }
        }
        self::assertTrue(Study::query()->whereKey($this->study->id)->exists());
    }

    public function test_a_body_that_is_no_json_is_refused(): void
    {
        foreach (['{', '[1,2', '"text"', '12', 'null', "\xff"] as $body) {
            $answer = $this->call(
                'POST',
                "/api/v1/studies/{$this->study->slug}/lenses",
                [],
                [],
                [],
                ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                $body,
            );
            self::assertContains($answer->getStatusCode(), [400, 422], $body);
        }
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $answer */
    private function assertAnswered(TestResponse $answer, string $where): void
    {
        self::assertLessThan(500, $answer->getStatusCode(), $where.': '.substr((string) $answer->baseResponse->getContent(), 0, 400));
        if ($answer->getStatusCode() >= 400) {
            self::assertNotSame('', (string) $answer->json('detail'), "{$where}: a refusal says what is wrong.");
        }
        // Signing out, or a rulebook changed for good, would shut the doors that come after.
        $this->actingAs($this->person);
    }

    /** @return list<array{string, string, array<string, mixed>}> method, path, what the description says */
    private static function described(): array
    {
        $doors = [];
        foreach (self::contract()['paths'] as $path => $operations) {
            foreach (array_diff_key($operations, ['parameters' => 1]) as $method => $operation) {
                // Signing in and out has a test of its own.
                if ($path !== '/session') {
                    $doors[] = [strtoupper($method), $path, $operation];
                }
            }
        }
        self::assertGreaterThan(60, \count($doors));

        return $doors;
    }

    /**
     * @param array<string, mixed> $operation
     *
     * @return list<string>
     */
    private static function fields(array $operation): array
    {
        $content = $operation['requestBody']['content'] ?? [];

        return self::properties(reset($content)['schema'] ?? []);
    }

    /**
     * @param array<string, mixed> $schema
     *
     * @return list<string>
     */
    private static function properties(array $schema): array
    {
        if (isset($schema['$ref'])) {
            return self::properties(self::contract()['components']['schemas'][basename($schema['$ref'])]);
        }

        return [
            ...array_map(strval(...), array_keys($schema['properties'] ?? [])),
            ...array_merge(...array_map(self::properties(...), $schema['allOf'] ?? [])),
        ];
    }

    /**
     * @return array{paths: array<string, array<string, array<string, mixed>>>, components: array{schemas: array<string, array<string,
     *     mixed>>}}
     */
    private static function contract(): array
    {
        static $contract = null;

        return $contract ??= json_decode((string) file_get_contents(base_path(WriteContract::DOCUMENT)), true, 512, JSON_THROW_ON_ERROR);
    }

    private function fill(string $path): string
    {
        return '/api/v1'.
            preg_replace(
                '/\{\w+\}/',
                '1',
                strtr($path, ['{slug}' => $this->study->slug, '{export}' => 'compare.csv', '{format}' => 'csv']),
            );
    }
}
