<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Demo\InvitePeople;
use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Sleep;
use Tests\Feature\Pulls\StandIn;
use Tests\TestCase;

final class DemoTest extends TestCase
{
    private const EDITOR = 'editor@thornfield-apiary.example';

    private static ?StandIn $standIn = null;

    protected function setUp(): void
    {
        parent::setUp();
        self::$standIn ??= StandIn::start();
        self::$standIn->connect();
        Study::query()->where('slug', 'thornfield')->delete();
        User::query()->where('email', 'like', '%@thornfield-apiary.example')->delete();
    }

    public static function tearDownAfterClass(): void
    {
        self::$standIn?->stop();
        self::$standIn = null;
    }

    public function test_it_is_whole_in_spite_of_a_source_that_breaks_off_and_each_person_has_a_password_of_their_own(): void
    {
        Sleep::fake();
        // More failures in a row than one request is tried: the pull gives up and is taken up again.
        self::$standIn?->misbehave([...array_fill(0, 7, '500'), 'cut']);
        $file = $this->makeFile('', 'sign-in');
        unlink($file);
        [$code, $printed] = $this->command('reach:demo', ['--sign-in' => $file]);
        self::assertSame(0, $code, $printed);
        self::assertNotNull(Study::query()->where('slug', 'thornfield')->value('comparison_id'));
        self::assertSame('600', substr(sprintf('%o', fileperms($file)), -3));
        preg_match_all('/Sign in as (\S+) with the password (\S+)/', (string) file_get_contents($file), $lines);
        self::assertCount(3, array_unique($lines[2]));
        foreach (array_combine($lines[1], $lines[2]) as $email => $password) {
            self::assertTrue(Hash::check($password, User::query()->where('email', $email)->firstOrFail()->getAuthPassword()));
        }
        [, $again] = $this->command('reach:demo', ['--sign-in' => $file]);
        self::assertStringContainsString('there already', $again);
        self::assertSame(3, substr_count((string) file_get_contents($file), "\n"), 'Nobody has a new password.');
    }

    public function test_a_source_that_stays_away_is_told_and_the_demo_is_not_there(): void
    {
        Sleep::fake();
        config(['sources.connected.stand-in.url' => 'http://127.0.0.1:1']);
        app()->forgetInstance(\App\Support\Sources\Sources::class);
        \Illuminate\Support\Facades\Http::allowStrayRequests(['http://127.0.0.1:1/*']);
        [$code, $printed] = $this->command('reach:demo');
        self::assertSame(1, $code);
        self::assertStringContainsString('cannot be reached', $printed);
        self::assertNull(Study::query()->where('slug', 'thornfield')->value('comparison_id'));
    }

    public function test_a_password_that_was_printed_in_public_is_replaced(): void
    {
        $study = $this->makeStudy();
        User::query()->create([
            'name' => 'Edda Quill',
            'email' => self::EDITOR,
            'password' => 'smoke-and-honey',
            'is_administrator' => false,
        ]);
        $told = app(InvitePeople::class)->execute($study);
        self::assertArrayHasKey(self::EDITOR, $told);
        self::assertFalse(Hash::check('smoke-and-honey', User::query()->where('email', self::EDITOR)->firstOrFail()->getAuthPassword()));
        self::assertSame([], app(InvitePeople::class)->execute($study));
    }
}
