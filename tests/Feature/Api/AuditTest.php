<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Audit\RecordAudit;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/**
 * Every act is written down, what is secret is not, and what was written stays.
 *
 * @phpstan-type Line object{action: string, status: int, person: ?string, study: ?string, user_id: ?int, origin: string, detail: string}
 */
final class AuditTest extends TestCase
{
    private int $before = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->before = (int) DB::table('audit')->max('id');
    }

    public function test_signing_in_and_failing_to_are_written_down_without_the_password(): void
    {
        $user = $this->makeUser();
        $this->postJson('/api/v1/session', ['email' => strtoupper($user->email), 'password' => 'not the horse'])->assertStatus(422);
        $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'correct horse'])->assertOk();
        $this->patchJson('/api/v1/session', ['password' => 'correct horse', 'new_password' => 'a longer way to say it'])->assertOk();
        $this->deleteJson('/api/v1/session')->assertOk();
        self::assertSame(
            [
                ['POST /session', 422, $user->email],
                ['POST /session', 200, $user->email],
                ['PATCH /session', 200, $user->email],
                ['DELETE /session', 200, $user->email],
            ],
            array_map(static fn(object $line): array => [$line->action, $line->status, $line->person], $this->lines()),
        );
        $all = (string) json_encode($this->lines());
        foreach (['correct horse', 'not the horse', 'a longer way'] as $secret) {
            self::assertStringNotContainsString($secret, $all);
        }
    }

    public function test_what_was_before_stands_beside_what_is_wanted(): void
    {
        $study = $this->makeStudy();
        $person = $this->makeEditor($study, 'reader');
        $this->actingAs($this->makeUser(true));
        $before = function (string $method, string $path, array $asked): array {
            $this->json($method, $path, $asked)->assertSuccessful();

            return (array) (json_decode(DB::table('audit')->orderByDesc('id')->value('detail'), true)['before'] ?? null);
        };
        $role = $before('PATCH', "/api/v1/people/{$person->id}", ['roles' => [$study->slug => 'editor'], 'name' => 'Another name']);
        self::assertSame([$study->slug => 'reader'], $role["role of {$person->email}"]);
        self::assertSame(['name' => $person->name], $role["user {$person->id}"]);
        $at = "/api/v1/studies/{$study->slug}";
        self::assertSame(['rulebook' => ['min_fit' => null]], $before('PATCH', $at.'/rulebook', ['settings' => ['min_fit' => '1']]));
        self::assertSame(['rulebook' => ['min_fit' => '1']], $before('PATCH', $at.'/rulebook', ['settings' => ['min_fit' => '2']]));
        self::assertSame(["study {$study->id}" => ['name' => 'Pens']], $before('PATCH', $at, ['name' => 'Pens and ink']));
        $domains = $before('PATCH', $at, ['competitors' => ['nibhouse.example']]);
        $compared = ['quillfair.example', 'inkmoor.example', 'nibhouse.example'];
        self::assertSame(["study {$study->id}" => ['compared' => $compared]], $domains);
        $disabled = $before('PATCH', "/api/v1/people/{$person->id}", ['is_disabled' => true]);
        self::assertSame(["user {$person->id}" => ['disabled_at' => null]], $disabled);
    }

    public function test_a_decision_is_found_with_the_number_under_which_stands_what_was_before(): void
    {
        $study = $this->makeStudy();
        $editor = $this->makeEditor($study);
        $path = "/api/v1/studies/{$study->slug}/decisions";
        $change = $this->actingAs($editor)->postJson($path, ['keywords' => ['pen'], 'mark' => 'shortlisted'])->assertOk()->json('change');
        [$line] = $this->lines();
        self::assertSame(['POST /studies/{slug}/decisions', $study->slug, $editor->id], [$line->action, $line->study, $line->user_id]);
        $detail = json_decode($line->detail, true);
        self::assertSame($change, $detail['change']);
        self::assertSame(['pen'], $detail['asked']['keywords']);
    }

    public function test_refusals_and_files_taken_along_are_written_down_and_reading_is_not(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,5\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->before = (int) DB::table('audit')->max('id');
        $this->actingAs($this->makeEditor($study, 'reader'));
        $this->getJson("/api/v1/studies/{$study->slug}")->assertOk();
        $this->getJson("/api/v1/studies/{$study->slug}/bench")->assertOk();
        $this->postJson("/api/v1/studies/{$study->slug}/rulebook/preview", ['target' => '2']);
        $this->get("/api/v1/studies/{$study->slug}/exports/compare.csv")->assertOk();
        $this->patchJson("/api/v1/studies/{$study->slug}", ['name' => 'Mine'])->assertStatus(403);
        $this->getJson('/api/v1/studies/'.$this->makeStudy()->slug)->assertNotFound();
        self::assertSame([200, 403, 404], array_column($this->lines(), 'status'));
        self::assertSame('GET /studies/{slug}/exports/{export}', $this->lines()[0]->action);
    }

    public function test_a_refused_page_leaves_a_short_row(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study, 'reader'));
        $this->getJson('/api/v1/studies/'.$this->makeStudy()->slug.'?q='.str_repeat('a', 5000))->assertNotFound();
        self::assertLessThan(300, \strlen($this->lines()[0]->detail));
    }

    public function test_nobody_fills_the_record_from_outside(): void
    {
        foreach (['GET', 'POST', 'DELETE'] as $method) {
            $this->json($method, '/api/v1/studies/any/decisions')->assertClientError();
        }
        $this->getJson('/api/v1/studies')->assertStatus(401);
        self::assertSame([], $this->lines());
    }

    public function test_a_command_is_written_down_when_it_did_its_work(): void
    {
        $study = $this->makeStudy();
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['target=2']]);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['target=-2']]);
        [$line] = $this->lines();
        self::assertCount(1, $this->lines());
        self::assertSame(['reach:rulebook', 'command', $study->slug], [$line->action, $line->origin, $line->study]);
        self::assertSame(['target=2'], json_decode($line->detail, true)['asked']['set']);
    }

    public function test_what_was_written_stays_until_its_time_is_over(): void
    {
        DB::table('audit')->insert(['action' => 'old', 'status' => 0, 'origin' => 'command', 'at' => now()->subDays(401)]);
        DB::table('audit')->insert(['action' => 'new', 'status' => 0, 'origin' => 'command', 'at' => now()->subDays(399)]);
        $recent = "DELETE FROM audit WHERE action = 'newest'";
        DB::table('audit')->insert(['action' => 'newest', 'status' => 0, 'origin' => 'command', 'at' => now()->subDays(29)]);
        foreach (['UPDATE audit SET person = NULL', $recent, 'DELETE FROM audit', 'TRUNCATE audit'] as $sql) {
            try {
                DB::transaction(static fn(): bool => DB::statement("SET LOCAL reach.audit_retention = 'on'") && DB::statement($sql));
                self::fail($sql);
            } catch (QueryException $error) {
                self::assertStringContainsString('added to and never changed', $error->getMessage());
            }
        }
        app(RecordAudit::class)->sweep();
        self::assertSame(['new', 'newest'], array_column($this->lines(), 'action'));
    }

    public function test_administrators_narrow_it_and_page_through_it(): void
    {
        $administrator = $this->makeUser(true);
        foreach ([['a@x.example', 'one', 200], ['a@x.example', 'two', 403], ['b@x.example', 'one', 200]] as [$person, $study, $status]) {
            DB::table('audit')->insert(
                ['action' => 'POST /studies/{slug}/decisions', 'origin' => '127.0.0.1', ...compact('person', 'study', 'status')],
            );
        }
        $ask = fn(string $query): array => array_map(
            static fn(array $line): string => "{$line['person']} {$line['study']}",
            $this->actingAs($administrator)->getJson('/api/v1/audit?'.$query)->assertOk()->json('lines'),
        );
        self::assertSame(['a@x.example two', 'a@x.example one'], \array_slice($ask('person=a@x.example'), 0, 2));
        self::assertSame('b@x.example one', $ask('study=one')[0]);
        self::assertSame('a@x.example two', $ask('outcome=refused&person=a@x.example')[0]);
        self::assertSame([], $ask('action=nothing+of+that+kind'));
        self::assertSame([], $ask('to=2020-01-01'));
        $first = $this->getJson('/api/v1/audit?limit=1')->assertOk();
        $second = $this->getJson('/api/v1/audit?limit=1&before='.$first->json('next'))->assertOk();
        self::assertSame(['b@x.example', 'a@x.example'], [$first->json('lines.0.person'), $second->json('lines.0.person')]);
        self::assertNotSame($first->json('lines.0.action'), $first->json('lines.0.words'), 'In the words of the document.');
        $this->actingAs($this->makeUser())->getJson('/api/v1/audit')->assertStatus(403);
    }

    /** @return list<Line> */
    private function lines(): array
    {
        /** @var list<Line> */
        return DB::table('audit')->where('id', '>', $this->before)->orderBy('id')->get()->all();
    }
}
