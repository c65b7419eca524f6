<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Audit\PreviousValues;
use App\Actions\Backup\WorkFolder;
use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Tidy\PruneTemporaryFiles;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\Task;
use App\Models\Upload;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** What is just within a bound, what is just beyond it, and what is told of one and of many. */
final class FiguresAtTheEdgeTest extends TestCase
{
    private function compared(string $ours = "pen,14,900,20\nbuy ink,9,700,30\nink recipe,12,800,10\n"): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $theirs = "pen,3,900,20\nbuy ink,2,700,30\nink recipe,4,800,10\n";
        foreach (['quillfair.example' => $ours, 'inkmoor.example' => $theirs] as $domain => $rows) {
            $of = ['--domain' => $domain, '--date' => '2026-11-01'];
            $this->import($study, "keyword,position,volume,difficulty\n{$rows}", options: $of);
        }
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->actingAs($this->makeEditor($study));

        return $study->refresh();
    }

    private function at(Study $study, string $path): string
    {
        return "/api/v1/studies/{$study->slug}/{$path}";
    }

    public function test_five_hundred_domains_are_taken_at_once_and_one_more_is_not(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $lines = static fn(int $count): string => implode(
            "\n",
            array_map(static fn(int $one): string => "d{$one}.example", range(1, $count)),
        );
        $this->postJson($this->at($study, 'domains'), ['domains' => $lines(501)])->assertStatus(422);
        $this->postJson($this->at($study, 'domains'), ['domains' => $lines(500)])->assertCreated()->assertExactJson(['added' => 500]);
    }

    public function test_the_newest_hundred_changes_of_the_rulebook_are_told(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        foreach (range(0, 100) as $number) {
            $settings = ['moving_share' => (string) (($number + 1) / 1000)];
            $this->patchJson($this->at($study, 'rulebook'), ['settings' => $settings])->assertOk();
        }
        $told = array_column(array_column($this->getJson($this->at($study, 'rulebook/history'))->assertOk()->json(), 'settings'), 0);
        self::assertSame([100, '0.101', '0.002'], [\count($told), $told[0]['to'], $told[99]['to']]);
    }

    public function test_what_stood_before_is_noted_once_of_each_field_and_of_fifty_things(): void
    {
        $before = new PreviousValues();
        $before->note('item 1', ['month' => '2026-11']);
        $before->note('item 1', ['month' => '2026-12', 'owner' => 'Wren']);
        $before->note('item 2', []);
        self::assertEquals(['before' => ['item 1' => ['month' => '2026-11', 'owner' => 'Wren']]], $before->take());
        self::assertSame([], $before->take());
        foreach (range(1, 60) as $number) {
            $before->note("item {$number}", ['month' => null]);
        }
        self::assertCount(50, $before->take()['before'] ?? []);
    }

    public function test_items_that_are_more_than_a_month_are_named_up_to_ten(): void
    {
        $rows = static fn(int $count, int $place): string => "keyword,position,volume,difficulty\n".implode('', array_map(
            static fn(int $one): string => 'w'.str_repeat('x', $one)." pen,{$place},9000,5\n",
            range(1, $count),
        ));
        $words = [1 => 'it takes more than a month: 1 item: ', 10 => 'they take more than a month: 10 items: '];
        foreach ($words as $count => $said) {
            $study = $this->makeStudy(['inkmoor.example']);
            foreach (['quillfair.example' => 15, 'inkmoor.example' => 2] as $domain => $place) {
                $this->import($study, $rows($count, $place), options: ['--domain' => $domain, '--date' => '2026-11-01']);
            }
            $told = $this->commandApart('reach:plan', ['slug' => $study->slug, '--capacity' => '.25', '--by' => 'keyword'])[2];
            self::assertStringContainsString($said, $told);
            self::assertStringNotContainsString('…', $told);
            self::assertSame($count - 1, substr_count($told, ', w'));
        }
    }

    public function test_what_is_swept_is_counted(): void
    {
        Storage::fake('local');
        $disk = Storage::disk('local');
        $disk->put('backup-1/rest', '');
        $disk->put('pulls/9/rest', '');
        Storage::put(Upload::FOLDER.'/unknown', '');
        $age = static fn(int $hours): array => array_map(static fn(string $path): bool => touch($path, time() - 3600 * $hours), [
            $disk->path('backup-1'), $disk->path('pulls/9'), Storage::path(Upload::FOLDER.'/unknown'),
        ]);
        $age(23);
        app(PruneTemporaryFiles::class)->execute();
        self::assertTrue($disk->exists('backup-1') && $disk->exists('pulls/9'), 'It may be under way.');
        $age(25);
        self::assertSame(3, app(PruneTemporaryFiles::class)->execute());
        $disk->assertMissing(['backup-1', 'pulls/9', Upload::FOLDER.'/unknown']);
        self::assertSame(0, app(PruneTemporaryFiles::class)->execute());
    }

    public function test_a_folder_of_work_is_closed_to_others_and_gone_after_it(): void
    {
        $folder = WorkFolder::with(static function (string $folder): string {
            self::assertSame('700', substr(sprintf('%o', fileperms($folder)), -3));
            file_put_contents("{$folder}/part", '');

            return $folder;
        });
        self::assertDirectoryDoesNotExist($folder);
    }

    public function test_a_task_counts_how_often_it_was_begun(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $file = UploadedFile::fake()->createWithContent('list.csv', "keyword,position\npen,3\n");
        $upload = $this->post($this->at($study, 'uploads'), ['file' => $file])->assertCreated()->json('id');
        $order = ['upload' => $upload, 'kind' => 'rankings', 'domain' => 'quillfair.example', 'date' => '2026-11-01'];
        $id = $this->postJson($this->at($study, 'imports'), $order)->assertStatus(202)->json('id');
        self::assertSame(1, Task::query()->where('id', $id)->value('starts'));
    }

    public function test_conversions_of_the_roadmap_go_by_the_intents_of_what_is_planned(): void
    {
        $study = $this->compared();
        $settings = ['conversion_rate' => '.01', 'conversion_rates' => 'buy:.3'];
        $this->patchJson($this->at($study, 'rulebook'), ['settings' => $settings])->assertOk();
        self::assertSame(.01, $this->getJson($this->at($study, 'plan'))->assertOk()->json('conversion_rate'), 'Nothing is planned yet.');
        $keywords = ['buy ink', 'ink recipe', 'pen'];
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => $keywords, 'alone' => true])->assertCreated();
        PlanItem::of($study)->whereIn('name', ['buy ink', 'ink recipe'])->update(['month' => now('UTC')->format('Y-m')]);
        $plan = $this->getJson($this->at($study, 'plan'))->assertOk()->json();
        $gains = array_column($plan['items'], 'expected_gain', 'name');
        self::assertNotContains(null, $gains);
        $expected = ($gains['buy ink'] * .3 + $gains['ink recipe'] * .01) / ($gains['buy ink'] + $gains['ink recipe']);
        self::assertEqualsWithDelta($expected, $plan['conversion_rate'], 1e-9);
    }

    public function test_one_list_and_many_are_taken_over_in_words(): void
    {
        foreach ([1 => '1 list,', 2 => '2 lists,'] as $count => $said) {
            $study = $this->makeStudy();
            foreach (range(1, $count) as $month) {
                $list = "keyword,position,url\npen,3,https://quillfair.example/guides/pens\n";
                $this->import($study, $list, options: ['--domain' => 'quillfair.example', '--date' => "2026-0{$month}-01"]);
            }
            $this->actingAs($this->makeEditor($study));
            $told = $this->patchJson("/api/v1/studies/{$study->slug}", ['domain' => 'quillfair.example/guides'])->assertOk();
            self::assertStringContainsString($said, $told->json('notes')[0]);
        }
        self::assertSame(0, DB::table('plan_items')->where('study_id', $study->id)->count());
    }

    public function test_a_result_at_one_hundred_is_kept_and_one_below_is_not(): void
    {
        $list = "keyword,position,url\npen,100,https://inkmoor.example/\npen,101,https://nibhouse.example/\n";
        $printed = $this->import($this->makeStudy(), $list, 'results', ['--date' => '2026-11-01']);
        self::assertStringContainsString('1 rows kept, 1 dropped', $printed);
    }

    public function test_what_nobody_said_when_it_was_planned_is_said_when_it_is_done(): void
    {
        $study = $this->compared();
        $this->postJson($this->at($study, 'plan/items'), ['keywords' => ['buy ink'], 'alone' => true])->assertCreated();
        $item = PlanItem::of($study)->where('name', 'buy ink')->firstOrFail();
        DB::table('plan_items')->where('id', $item->id)->update(['said' => null]);
        $this->patchJson($this->at($study, "plan/items/{$item->id}"), ['version' => $item->version, 'status' => 'done'])->assertOk();
        $gain = array_column($this->getJson($this->at($study, 'plan'))->json('items'), 'gain', 'name')['buy ink'];
        self::assertEqualsWithDelta($gain, $item->refresh()->said->gain ?? 0, 1e-9);
        self::assertGreaterThan(0, $gain);
    }
}
