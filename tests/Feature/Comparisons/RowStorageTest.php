<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Comparison;
use App\Models\Study;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Where rows lie, and that making studies and small comparisons changes no schema and makes nobody wait. */
final class RowStorageTest extends TestCase
{
    public function test_a_study_and_a_small_comparison_make_no_relation(): void
    {
        $before = self::relations();
        $study = $this->filled();
        $this->compare($study);
        self::assertSame($before, self::relations());
    }

    public function test_a_large_comparison_has_a_table_of_its_own_and_reads_the_same(): void
    {
        $study = $this->filled();
        $this->compare($study);
        $small = $this->exports($study);
        config(['reach.rows_of_a_large_comparison' => 1]);
        $study->touchData();
        $large = $this->compare($study);
        self::assertTrue($large->has_own_rows);
        self::assertSame(0, DB::table('comparison_rows')->where('comparison_id', $large->id)->count());
        self::assertSame(0, DB::table('comparison_topics')->where('comparison_id', $large->id)->count());
        self::assertGreaterThan(0, $large->topicTable()->query()->count());
        self::assertSame($small, $this->exports($study));
    }

    public function test_topics_of_a_large_comparison_of_before_are_carried_over(): void
    {
        config(['reach.rows_of_a_large_comparison' => 1]);
        $study = $this->filled();
        $large = $this->compare($study);
        [$exports, $topics] = [$this->exports($study), self::topicsOf($large)];
        self::assertNotSame([], $topics);
        $migration = require database_path('migrations/2026_11_27_000039_topics_of_large_comparisons.php');
        self::assertInstanceOf(Migration::class, $migration);
        (new \ReflectionMethod($migration, 'down'))->invoke($migration);
        self::assertSame(\count($topics), DB::table('comparison_topics')->where('comparison_id', $large->id)->count());
        (new \ReflectionMethod($migration, 'up'))->invoke($migration);
        self::assertSame(0, DB::table('comparison_topics')->where('comparison_id', $large->id)->count());
        self::assertEquals($topics, self::topicsOf($large));
        self::assertSame($exports, $this->exports($study));
    }

    public function test_decisions_reach_rows_wherever_they_lie(): void
    {
        foreach ([1_000, 1] as $large) {
            config(['reach.rows_of_a_large_comparison' => $large]);
            $study = $this->filled();
            $comparison = $this->compare($study);
            $this->actingAs($this->makeEditor($study));
            $this->postJson("/api/v1/studies/{$study->slug}/decisions", [
                'keywords' => ['pen'],
                'fit' => 4,
                'topic' => 'writing',
            ])->assertOk();
            $row = $comparison->table()->query()->where('keyword', 'pen')->first();
            self::assertEquals([4, 'writing'], [$row?->score_fit, $row?->topic]);
        }
    }

    public function test_what_is_forgotten_leaves_neither_rows_nor_tables(): void
    {
        config(['reach.kept_comparisons' => 0]);
        $study = $this->filled();
        foreach ([1, 1_000, 1] as $large) {
            config(['reach.rows_of_a_large_comparison' => $large]);
            $study->touchData();
            $kept = $this->compare($study);
        }
        self::assertSame([$kept->id], Comparison::query()->where('study_id', $study->id)->pluck('id')->all());
        self::assertSame(0, DB::table('comparison_rows')->where('study_id', $study->id)->count());
        $tables = array_column(DB::select("SELECT relname FROM pg_class WHERE relname ~ '^comparison_rows_c[0-9]+$'"), 'relname');
        self::assertContains($kept->table()->name(), $tables);
        $topics = array_column(DB::select("SELECT relname FROM pg_class WHERE relname ~ '^comparison_topics_c[0-9]+$'"), 'relname');
        self::assertSame($topics, array_values(array_intersect($topics, str_replace('rows', 'topics', $tables))));
        self::assertContains($kept->topicTable()->name(), $topics);
        self::assertSame(
            [],
            array_diff(
                $tables,
                array_map(
                    static fn(Comparison $one): string => $one->table()->name(),
                    Comparison::query()->where('has_own_rows', true)->get()->all(),
                ),
            ),
        );
    }

    public function test_studies_made_side_by_side_beside_an_open_comparison_wait_for_nobody(): void
    {
        // Whoever compares has read and written but not ended yet.
        $study = $this->filled();
        DB::beginTransaction();
        DB::table('comparison_rows')->where('study_id', $study->id)->lockForUpdate()->get();
        DB::insert("INSERT INTO rankings (study_id, snapshot_id, keyword, ordinal, position) VALUES (?, 0, 'held open', 1, 1)", [
            $study->id,
        ]);
        $makers = [];
        for ($maker = 0; $maker < 4; ++$maker) {
            $makers[] = $process = new Process(
                [
                    'php',
                    'artisan',
                    'reach:study',
                    "beside-{$maker}-".getmypid(),
                    '--name=Beside',
                    '--domain=quillfair.example',
                    '--competitor=inkmoor.example',
                ],
                base_path(),
                ['APP_ENV' => 'testing'],
                null,
                30,
            );
            $process->start();
        }
        foreach ($makers as $process) {
            self::assertSame(0, $process->wait(), $process->getErrorOutput());
        }
        DB::rollBack();
    }

    public function test_a_list_of_studies_asks_as_often_for_many_as_for_one(): void
    {
        // Now and then any request clears away old sessions; that is not a question of the list.
        config(['session.lottery' => [0, 1]]);
        $user = $this->makeUser();
        $asked = function (int $studies) use ($user): array {
            for ($number = 0; $number < $studies; ++$number) {
                $this->makeStudy()->members()->attach($user->id, ['role' => 'editor']);
            }
            DB::enableQueryLog();
            DB::flushQueryLog();
            $this->actingAs($user)->getJson('/api/v1/studies')->assertOk();

            return array_column(DB::getQueryLog(), 'query');
        };
        $shapes = static fn(array $queries): array => array_map(
            static fn(string $query): string => (string) preg_replace('/\([\d?, ]*\)/', '(…)', $query),
            $queries,
        );
        $asked(1);
        self::assertSame($shapes($asked(1)), $shapes($asked(30)));
        DB::disableQueryLog();
    }

    public function test_studies_come_in_pages_by_name_and_are_found_by_a_part_of_it(): void
    {
        $user = $this->makeUser();
        foreach (['Wax', 'Bees', 'Wax', 'Honey'] as $name) {
            $study = $this->makeStudy();
            $study->update(['name' => $name]);
            $study->members()->attach($user->id, ['role' => 'reader']);
        }
        $this->actingAs($user);
        $names = [];
        $cursor = '';
        do {
            $page = $this->getJson('/api/v1/studies?limit=1&cursor='.urlencode($cursor))->assertOk()->json();
            array_push($names, ...array_column($page['studies'], 'name'));
            $cursor = $page['next'];
        } while ($cursor !== null);
        self::assertSame(['Bees', 'Honey', 'Wax', 'Wax'], $names);
        $this->getJson('/api/v1/studies?name=one')->assertOk()->assertJsonPath('studies.0.name', 'Honey')->assertJsonCount(1, 'studies');
        $this->getJson('/api/v1/studies?name='.urlencode('%'))->assertOk()->assertJsonCount(0, 'studies');
        $this->getJson('/api/v1/studies?cursor=nonsense')->assertStatus(400);
    }

    private static function relations(): int
    {
        return (int) DB::selectOne('SELECT count(*) AS count FROM pg_class')?->count;
    }

    private function filled(): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\npen,12,https://quillfair.example/pen\nink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position,url,volume,difficulty\npen,3,https://inkmoor.example/pen,900,20\nnib,4,https://inkmoor.example/pen,40,60\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );

        return $study;
    }

    private function compare(Study $study): Comparison
    {
        return app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()->load('domains')));
    }

    /** @return list<\stdClass> */
    private static function topicsOf(Comparison $comparison): array
    {
        return array_values($comparison->topicTable()->query()->orderBy('topic')->get()->all());
    }

    /** @return array<string, string> */
    private function exports(Study $study): array
    {
        $exports = [];
        foreach (['compare', 'weigh', 'topics'] as $name) {
            $exports[$name] = $this->command("reach:{$name}", ['slug' => $study->slug])[1];
        }
        $exports['weigh by topic'] = $this->command('reach:weigh', ['slug' => $study->slug, '--by' => 'topic'])[1];

        return $exports;
    }
}
