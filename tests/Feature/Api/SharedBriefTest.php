<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** A brief is shared with a writer who has no account: this one, until an end, as long as nobody takes it back. */
final class SharedBriefTest extends TestCase
{
    private Study $study;
    private PlanItem $item;
    private string $links;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $list = "keyword,position,volume,difficulty\nbig pen,12,2000,20\nblue ink,14,500,20\n";
        $this->import($this->study, $list, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($this->study, $list, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->study->refresh()->load('domains');
        $this->actingAs($this->makeEditor($this->study));
        $this->postJson($this->at('plan/items'), ['topics' => ['big pen', 'blue ink']])->assertCreated();
        $this->item = PlanItem::of($this->study)->where('name', 'big pen')->firstOrFail();
        $this->links = $this->at("plan/items/{$this->item->id}/links");
    }

    protected function tearDown(): void
    {
        Carbon::setTestNow();
        parent::tearDown();
    }

    public function test_a_writer_sees_this_brief_and_nothing_else(): void
    {
        $link = $this->postJson($this->links)->assertCreated()->json();
        $path = $this->asWriter($link['url']);
        $page = $this->get($path)->assertOk()->assertSee('big pen')->assertDontSee('blue ink');
        self::assertSame('no-referrer', $page->headers->get('Referrer-Policy'));
        self::assertStringContainsString('no-store', (string) $page->headers->get('Cache-Control'));
        self::assertStringNotContainsString('<script', (string) $page->getContent());
        $this->getJson($this->at('plan'))->assertStatus(401);
        $this->get(str_replace('signature=', 'signature=0', $path))->assertStatus(403)->assertDontSee('big pen');
        $this->get((string) preg_replace('~/brief/\d+~', '/brief/999999', $path))->assertStatus(403);
        $this->get((string) preg_replace('/expires=\d+/', 'expires=99999999999', $path))->assertStatus(403);
        $this->get('/brief/'.$link['id'])->assertStatus(403);
    }

    public function test_a_writer_tells_how_far_it_is_and_where_and_markup_stays_text(): void
    {
        $path = $this->asWriter($this->postJson($this->links)->json('url'));
        $this->tell($path, ['status' => 'writing', 'note' => 'Half of it <script>alert(1)</script> | **is** done'])->assertOk()
            ->assertSee('saved your answer');
        self::assertSame('writing', $this->item->refresh()->status);
        $page = (string) $this->get($path)->assertOk()->getContent();
        self::assertStringNotContainsString('<script>', $page);
        self::assertStringContainsString('&lt;script&gt;', $page);

        $this->tell($path, ['status' => 'published'])->assertStatus(422)->assertSee('Enter the URL of the published page.');
        $this->tell($path, ['status' => 'published', 'url' => 'https://inkmoor.example/pen', 'note' => 'kept'])->assertStatus(422)
            ->assertSee('a page of quillfair.example')
            ->assertSee('kept');
        $this->tell($path, ['status' => 'published', 'url' => 'javascript:alert(1)'])->assertStatus(422);
        $this->tell($path, ['status' => 'done', 'url' => 'https://quillfair.example/pen'])->assertStatus(422);
        $this->tell($path, ['status' => 'writing', 'note' => str_repeat('x', 5001)])->assertStatus(422);
        self::assertSame('writing', $this->item->refresh()->status, 'What was refused changed nothing.');
        $this->tell($path, ['status' => 'published', 'url' => 'https://www.quillfair.example/pen', 'note' => 'out'])->assertOk();

        $this->actingAs($this->makeEditor($this->study));
        $card = array_column($this->getJson($this->at('plan'))->json('items'), null, 'name')['big pen'];
        self::assertSame(
            ['published', 'https://www.quillfair.example/pen', 'out'],
            [$card['status'], $card['published_url'], $card['writer_note']],
        );
        $markdown = (string) $this->get($this->at("plan/items/{$this->item->id}/brief.md"))->assertOk()->getContent();
        self::assertStringContainsString("## From the writer\n\nout", $markdown);
        self::assertNotNull($this->getJson($this->links)->json('links.0.used_at'));
    }

    public function test_a_link_ends_and_can_be_taken_back(): void
    {
        $this->postJson($this->links, ['days' => 91])->assertStatus(422);
        $ended = $this->postJson($this->links, ['days' => 2])->json();
        $revoked = $this->postJson($this->links)->json();
        self::assertSame([$revoked['id'], $ended['id']], array_column($this->getJson($this->links)->json('links'), 'id'));
        $this->deleteJson($this->links.'/'.$revoked['id'])->assertOk();
        self::assertSame([$ended['url']], array_column($this->getJson($this->links)->json('links'), 'url'), 'The address stays the same.');
        $this->asWriter('');
        $this->get($this->path($revoked['url']))->assertStatus(410)->assertSee('was revoked')->assertDontSee('big pen');
        $this->get($this->path($ended['url']))->assertOk();
        Carbon::setTestNow(now()->addDays(3));
        $this->get($this->path($ended['url']))->assertStatus(410)->assertSee('This link expired on');
        $this->tell($this->path($ended['url']), ['status' => 'writing'])->assertStatus(410);
        self::assertSame('planned', $this->item->refresh()->status);
    }

    public function test_what_is_over_is_not_changed_by_a_writer_and_what_is_gone_opens_nothing(): void
    {
        $url = $this->postJson($this->links)->json('url');
        $this->patchJson($this->at("plan/items/{$this->item->id}"), ['version' => 1, 'status' => 'dropped'])->assertOk();
        $path = $this->asWriter($url);
        $this->tell($path, ['status' => 'writing'])->assertStatus(422)->assertSee('This work is dropped');
        DB::table('plan_items')->where('id', $this->item->id)->delete();
        $this->get($path)->assertStatus(403);
    }

    public function test_only_who_may_change_the_study_makes_sees_and_takes_back_links(): void
    {
        $link = $this->postJson($this->links)->json();
        $this->actingAs($this->makeEditor($this->study, 'reader'));
        $this->getJson($this->links)->assertStatus(403);
        $this->postJson($this->links)->assertStatus(403);
        $this->deleteJson($this->links.'/'.$link['id'])->assertStatus(403);
        $other = $this->makeStudy(['inkmoor.example']);
        $this->actingAs($this->makeEditor($other));
        $this->postJson("/api/v1/studies/{$other->slug}/plan/items/{$this->item->id}/links")->assertStatus(404);
    }

    /** @return string path of an address, for somebody who is not signed in */
    private function asWriter(string $url): string
    {
        Auth::logout();
        $this->app['auth']->forgetGuards();

        return $this->path($url);
    }

    private function path(string $url): string
    {
        return parse_url($url, PHP_URL_PATH).'?'.parse_url($url, PHP_URL_QUERY);
    }

    /**
     * @param array<string, string> $said
     *
     * @return TestResponse<Response>
     */
    private function tell(string $path, array $said): TestResponse
    {
        return $this->post($path, $said);
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }
}
