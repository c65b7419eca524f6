<?php

declare(strict_types=1);

namespace Tests\Feature\Digest;

use App\Jobs\RefreshComparison;
use App\Models\DigestSubscription;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A mail when a month is in, through a real mail server. */
final class DigestTest extends TestCase
{
    private MailServer $server;
    private Study $study;
    private User $reader;

    protected function setUp(): void
    {
        parent::setUp();
        $this->server = MailServer::start();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->month('2026-10-01', 12);
        $this->reader = $this->makeEditor($this->study, 'reader');
        $this->actingAs($this->reader);
    }

    protected function tearDown(): void
    {
        $this->server->stop();
        Carbon::setTestNow();
        parent::tearDown();
    }

    private function month(string $day, int $position): void
    {
        $list = "keyword,position,volume,difficulty\nbig pen,{$position},2000,20\nblue ink,14,500,20\n";
        $this->import($this->study, $list, options: ['--domain' => 'quillfair.example', '--date' => $day]);
        $this->import($this->study, "keyword,position,volume,difficulty\nbig pen,2,2000,20\n<b>pen</b>,3,900,20\n", options: [
            '--domain' => 'inkmoor.example', '--date' => $day,
        ]);
        RefreshComparison::dispatchSync($this->study->id);
    }

    public function test_a_new_month_is_told_once_in_text_and_html(): void
    {
        $this->putJson($this->at('digest'))->assertOk()->assertJson(['is_on' => true, 'is_available' => true]);
        RefreshComparison::dispatchSync($this->study->id);
        self::assertSame([], $this->server->mails(), 'The month that was there is no news.');
        PlanItem::draft($this->study->refresh()->load('domains'), \GreaterReach\Core\Plan\Unit::Topic, 'big pen')
            ->fill(['month' => '2026-09', 'owner' => 'Rowan', 'tactic' => 'improve page', 'effort_days' => 2.0])->save();
        Carbon::setTestNow('2026-11-02 08:00');
        $this->month('2026-11-01', 5);
        RefreshComparison::dispatchSync($this->study->id);
        $mails = $this->server->mails();
        self::assertCount(1, $mails);
        $mail = quoted_printable_decode($mails[0]);
        foreach ([
            'To: '.$this->reader->email, 'Subject: '.$this->study->name.': rankings of 1 Nov 2026 are in', 'text/plain', 'text/html',
            'List-Unsubscribe-Post: List-Unsubscribe=One-Click', '- Climbed 1, dropped 0, entered 0, left 0',
            '- big pen, Rowan, planned for 2026-09',
        ] as $expected) {
            self::assertStringContainsString($expected, $mail);
        }
        self::assertStringNotContainsString('<b>pen</b>', explode('text/html', $mail)[1]);
    }

    public function test_one_click_ends_it_with_the_link_alone_and_a_look_ends_nothing(): void
    {
        $this->putJson($this->at('digest'))->assertOk();
        $this->month('2026-11-01', 5);
        preg_match('/^List-Unsubscribe: <([^>]+)>/m', preg_replace("/\r?\n /", '', $this->server->mails()[0]) ?? '', $link);
        $path = (string) preg_replace('~^https?://[^/]+~', '', $link[1] ?? '');
        auth()->forgetGuards();
        session()->flush();
        $this->get($path)->assertOk()->assertSee('Stop the digest of');
        self::assertSame(1, DigestSubscription::query()->where('user_id', $this->reader->id)->count());
        $this->post(str_replace('signature=', 'signature=0', $path))->assertStatus(403);
        $this->post($path, ['List-Unsubscribe' => 'One-Click'])->assertOk()->assertSee('You won’t get this digest any more.');
        self::assertSame(0, DigestSubscription::query()->where('user_id', $this->reader->id)->count());
        $this->month('2026-12-01', 4);
        self::assertCount(1, $this->server->mails());
    }

    public function test_whoever_may_no_longer_see_the_study_is_told_nothing(): void
    {
        $this->putJson($this->at('digest'))->assertOk();
        DB::table('study_members')->where('user_id', $this->reader->id)->delete();
        $this->month('2026-11-01', 5);
        self::assertSame([], $this->server->mails());
    }

    public function test_without_a_mail_server_it_cannot_be_turned_on(): void
    {
        config(['mail.mailers.smtp.host' => null]);
        $this->getJson($this->at('digest'))->assertOk()->assertJson(['is_on' => false, 'is_available' => false]);
        $this->putJson($this->at('digest'))->assertStatus(422);
    }

    public function test_it_is_turned_off_again(): void
    {
        $this->putJson($this->at('digest'))->assertOk();
        $this->putJson($this->at('digest'))->assertOk();
        $this->deleteJson($this->at('digest'))->assertOk()->assertJson(['is_on' => false]);
        self::assertSame(0, DigestSubscription::query()->where('user_id', $this->reader->id)->count());
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }
}
