<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Snapshot;
use App\Models\Study;
use App\Models\Upload;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** How much one person may have waiting and make, and what goes by itself after how long. */
final class KeptForHowLongTest extends TestCase
{
    private const LIST = "keyword,position\npen,3\n";

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function upload(Study $study): TestResponse
    {
        $file = UploadedFile::fake()->createWithContent('list.csv', self::LIST);

        return $this->post("/api/v1/studies/{$study->slug}/uploads", ['file' => $file]);
    }

    /** @return list<string> ids */
    private function waiting(Study $study): array
    {
        return array_values(Upload::query()->where('study_id', $study->id)->orderBy('created_at')->pluck('id')->all());
    }

    public function test_a_person_has_no_more_files_waiting_than_are_allowed(): void
    {
        config(['reach.waiting_files' => 2]);
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $id = (string) $this->upload($study)->assertCreated()->json('id');
        $this->upload($study)->assertCreated();
        $refused = $this->upload($study)->assertUnprocessable();
        self::assertStringContainsString('at most 2, with', (string) $refused->json('detail'));
        $this->deleteJson("/api/v1/studies/{$study->slug}/uploads/{$id}")->assertOk();
        $this->upload($study)->assertCreated();
        $this->actingAs($this->makeEditor($study));
        $this->upload($study)->assertCreated();
    }

    public function test_nor_more_bytes(): void
    {
        config(['reach.waiting_bytes' => 2 * \strlen(self::LIST) - 1]);
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->upload($study)->assertCreated();
        $this->upload($study)->assertUnprocessable();
        self::assertSame(1, Upload::query()->where('study_id', $study->id)->count());
    }

    public function test_a_person_makes_no_more_studies_than_are_allowed_and_a_deleted_one_counts_until_it_is_gone(): void
    {
        config(['reach.studies_each' => 1]);
        $make = fn(string $name) => $this->postJson('/api/v1/studies', [
            'slug' => $name.getmypid(), 'name' => $name, 'domain' => 'quillfair.example',
        ]);
        $this->actingAs($this->makeUser());
        $make('first')->assertCreated();
        $make('second')->assertUnprocessable()
            ->assertJsonFragment(['detail' => 'You have created 1 studies, the most one person can have.']);
        $this->deleteJson('/api/v1/studies/first'.getmypid(), ['name' => 'first'])->assertOk();
        $make('second')->assertUnprocessable();
        DB::table('studies')->where('slug', 'first'.getmypid())->update(['deleted_at' => now()->subDays(31)]);
        $this->command('reach:tidy');
        $make('second')->assertCreated();
    }

    public function test_files_that_nobody_imports_go_after_a_week(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->upload($study)->assertCreated();
        DB::table('uploads')->where('study_id', $study->id)->update(['created_at' => now()->subDays(8)]);
        $this->upload($study)->assertCreated();
        [$old, $young] = $this->waiting($study);
        self::assertStringContainsString('1 expired uploads', $this->command('reach:tidy')[1]);
        self::assertSame([$young], $this->waiting($study));
        self::assertFalse(Storage::exists(Upload::FOLDER.'/'.$old));
        self::assertTrue(Storage::exists(Upload::FOLDER.'/'.$young));
    }

    public function test_a_file_whose_import_was_asked_for_is_not_taken_off(): void
    {
        Queue::fake();
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $id = (string) $this->upload($study)->assertCreated()->json('id');
        $order = ['upload' => $id, 'kind' => 'keywords', 'date' => '2026-10-01'];
        $this->postJson("/api/v1/studies/{$study->slug}/imports", $order)->assertStatus(202);
        $at = "/api/v1/studies/{$study->slug}/uploads/{$id}";
        $this->deleteJson($at)->assertUnprocessable();
        self::assertSame([$id], $this->waiting($study));
        $this->actingAs($this->makeEditor($this->makeStudy()))->deleteJson($at)->assertNotFound();
    }

    public function test_lists_older_than_is_wanted_go_and_the_newest_of_each_domain_stays(): void
    {
        $study = $this->makeStudy();
        foreach (['quillfair.example' => [30, 14, 1], 'inkmoor.example' => [20, 19]] as $domain => $months) {
            foreach ($months as $ago) {
                $day = now()->subMonthsNoOverflow($ago)->toDateString();
                $this->import($study, self::LIST, options: ['--domain' => $domain, '--date' => $day]);
            }
        }
        $days = static fn(): array => Snapshot::query()->where('study_id', $study->id)->orderBy('day')->pluck('day')
            ->map(static fn($day): int => (int) round($day->diffInMonths(now())))->all();
        self::assertStringContainsString(' 0 ranking lists', $this->command('reach:tidy')[1]);
        self::assertCount(5, $days());
        config(['reach.snapshot_months' => 13]);
        $version = $study->refresh()->data_version;
        self::assertStringContainsString(' 3 ranking lists', $this->command('reach:tidy')[1]);
        self::assertSame([19, 1], $days());
        self::assertSame(2, DB::table('rankings')->where('study_id', $study->id)->count());
        self::assertGreaterThan($version, $study->refresh()->data_version);
    }

    public function test_what_was_remembered_for_long_enough_leaves_the_database(): void
    {
        $names = ['over '.getmypid() => -1, 'still '.getmypid() => 60];
        foreach ($names as $name => $left) {
            DB::table('cache')->insert(['key' => $name, 'value' => serialize(1), 'expiration' => now()->getTimestamp() + $left]);
        }
        $this->command('reach:tidy');
        self::assertSame(['still '.getmypid()], DB::table('cache')->whereIn('key', array_keys($names))->pluck('key')->all());
    }
}
