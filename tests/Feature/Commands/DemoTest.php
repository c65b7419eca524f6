<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Demo\InvitePeople;
use App\Actions\Findings\CountedRows;
use App\Actions\Findings\FindingsQuery;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\DB;
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
        // Pages about extraction are among those that were worked on in the months of this day.
        self::$standIn ??= StandIn::start(subjects: 'smokers,extraction');
        self::$standIn->connect();
        Study::withTrashed()->where('slug', 'thornfield')->forceDelete();
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
        $study = Study::query()->where('slug', 'thornfield')->firstOrFail()->load('domains');
        $this->seeWork($study);
        self::seeWhatIsUnderWay($study);
        self::seeDecisions($study);
        [, $again] = $this->command('reach:demo', ['--sign-in' => $file]);
        self::assertStringContainsString('already exists', $again);
        self::assertSame(3, substr_count((string) file_get_contents($file), "\n"), 'Nobody has a new password.');
    }

    /** Every stage is alive: finished items, work under way, decisions of two people; and SQL counts what stands out, too. */
    private function seeWork(Study $study): void
    {
        $items = PlanItem::of($study)->get();
        $done = $items->where('status', 'done');
        self::assertGreaterThan(0, $done->count());
        foreach ($done as $item) {
            self::assertSame([$item->month, true], [$item->done_month, $item->said !== null], $item->name);
            self::assertLessThanOrEqual($item->month, (string) $item->said?->month, 'It was planned before it was done.');
        }
        self::assertGreaterThan(3, $items->whereIn('status', ['writing', 'published'])->count());
        self::assertSame(2, $items->pluck('owner')->filter()->unique()->count());
        $people = DB::table('decisions')->where('study_id', $study->id)->pluck('updated_by');
        self::assertGreaterThan(1, $people->unique()->count(), 'Two people decided.');
        self::assertGreaterThan(0, DB::table('decisions')->where('study_id', $study->id)->whereNotNull('note')->count());
        self::assertSame(2, $study->lenses()->count());
        $findings = [];
        foreach (app(FindingsQuery::class)->execute($study) as $finding) {
            $findings[$finding->code] = $finding->numbers;
        }
        /** @var object{gaps: int, wins: int, expected: float} $counted */
        $counted = DB::selectOne(<<<'SQL'
            SELECT count(*) FILTER (WHERE r.standing = 'gap' AND (r.brands = 0 OR r.brands & 1 = 1)) AS gaps,
                count(*) FILTER (WHERE r.horizon = 'quick win' AND r.is_listed) AS wins,
                coalesce(sum(r.expected_gain) FILTER (WHERE r.standing = 'gap' AND (r.brands = 0 OR r.brands & 1 = 1)), 0) AS expected
            FROM comparison_rows r LEFT JOIN decisions d ON d.study_id = r.study_id AND d.keyword = r.keyword
            WHERE r.comparison_id = ? AND d.mark IS DISTINCT FROM 'set aside'
            SQL, [$study->comparison_id]);
        self::assertSame($counted->gaps, $findings['gap']['keywords']);
        $comparison = $study->comparison ?? self::fail('Nothing was compared.');
        $wins = (new CountedRows($study, $comparison))->all([], ['wins' => 'horizon=quick win;mark=kept'])['wins'];
        self::assertSame($counted->wins, $wins->keywords);
        self::assertEqualsWithDelta($counted->expected, $findings['gap']['visits'], 1e-6);
    }

    /** Two are late, three are out, seven are being written, the rest is planned. */
    private static function seeWhatIsUnderWay(Study $study): void
    {
        $plan = DB::table('plans')->where('study_id', $study->id)->first(['start', 'months', 'capacity']);
        self::assertEquals([now('UTC')->format('Y-m'), 6, 24], array_values((array) $plan));
        $open = PlanItem::of($study)->where('status', '!=', 'done')->orderBy('month')->orderBy('id')->get();
        self::assertCount(24, $open);
        $begun = $open->where('status', '!=', 'planned')->values();
        $course = [...array_fill(0, 2, 'writing'), ...array_fill(0, 3, 'published'), ...array_fill(0, 7, 'writing')];
        self::assertSame($course, $begun->pluck('status')->all());
        $weeks = static fn(PlanItem $item): int => (int) now('UTC')->startOfDay()->diffInWeeks($item->due?->shiftTimezone('UTC'));
        self::assertSame([-2, -2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], $begun->map($weeks)->all());
        $isEditors = $begun->map(static fn(PlanItem $item): bool => $item->owner === $begun->get(0)?->owner);
        self::assertSame([true, true, false, true, true, false, true, true, false, true, true, false], $isEditors->all());
        $angles = $begun->map(static fn(PlanItem $item): string => (string) ($item->brief['angle'] ?? ''));
        self::assertSame([4, 4, 4], array_values($angles->countBy()->all()));
        self::assertNotSame($angles->get(0), $angles->get(1));
    }

    /** The best twelve topics are on the shortlist, two for each reason; what is sold by nobody here is set aside. */
    private static function seeDecisions(Study $study): void
    {
        $decided = DB::table('decisions')->where('study_id', $study->id);
        $short = (clone $decided)->where('mark', 'shortlisted')->pluck('reason')->countBy()->all();
        self::assertSame(array_fill(0, 6, 2), array_values($short));
        self::assertSame(3, (clone $decided)->where('mark', 'shortlisted')->whereNotNull('note')->count());
        self::assertSame(1, (clone $decided)->where('mark', 'shortlisted')->where('fit', 5)->whereNotNull('note')->count());
        self::assertSame(1, (clone $decided)->where('mark', 'shortlisted')->where('pinned', true)->whereNull('note')->count());
        $said = static fn(string $words): array => DB::table('comparison_rows')->where('comparison_id', $study->comparison_id)
            ->where('study_id', $study->id)->where('keyword', '~', "(^| )({$words})( |$)")->orderBy('keyword')->pluck('keyword')->all();
        self::assertSame(
            $said('second hand|used|wholesale|comb and clover|allergic'),
            (clone $decided)->where('mark', 'set aside')->orderBy('keyword')->pluck('keyword')->all(),
        );
        foreach ([
            'spring range' => ['hive tool', 50], 'needs photographs' => ['how to build', 20], 'ask the workshop' => ['dimensions', 30],
        ] as $tag => $of) {
            $volumes = DB::table('comparison_rows')->where('study_id', $study->id)->where('comparison_id', $study->comparison_id)
                ->whereIn('keyword', $said($of[0]))->where('volume', '>=', $of[1])->orderBy('keyword')->pluck('keyword')->all();
            $tagged = DB::table('tags')->where('study_id', $study->id)->where('tag', $tag)->orderBy('keyword')->pluck('keyword')->all();
            self::assertSame($volumes, $tagged, $tag);
            self::assertNotSame([], $tagged, $tag);
        }
    }

    public function test_a_demo_that_an_earlier_version_made_stays_as_it_is(): void
    {
        $study = $this->makeStudy([]);
        $study->update(['slug' => 'thornfield']);
        $this->import($study, "keyword,position\nveil,3\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:compare', ['slug' => 'thornfield']);
        [$code, $printed] = $this->command('reach:demo');
        self::assertSame([0, true], [$code, str_contains($printed, 'already exists')]);
        self::assertSame(0, PlanItem::query()->where('study_id', $study->id)->count());
    }

    public function test_a_demo_that_somebody_deleted_stays_deleted(): void
    {
        $study = $this->makeStudy();
        $study->update(['slug' => 'thornfield']);
        $study->delete();
        [$code, $printed] = $this->command('reach:demo');
        self::assertSame(0, $code, $printed);
        self::assertStringContainsString('The demo study was deleted', $printed);
        self::assertTrue($study->fresh()?->trashed());
    }

    public function test_a_source_that_stays_away_is_told_and_the_demo_is_not_there(): void
    {
        Sleep::fake();
        config(['sources.connected.stand-in.url' => 'http://127.0.0.1:1']);
        app()->forgetInstance(\App\Support\Sources\Sources::class);
        \Illuminate\Support\Facades\Http::allowStrayRequests(['http://127.0.0.1:1/*']);
        [$code, $printed] = $this->command('reach:demo');
        self::assertSame(1, $code);
        self::assertStringContainsString('be reached', $printed);
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
