<?php

declare(strict_types=1);

namespace Tests\Feature\Shared;

use App\Http\Middleware\ReadFromReplica;
use App\Models\Study;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** Questions that change nothing are put to a standby, here the same database by a connection that cannot write. */
final class StandbyTest extends TestCase
{
    private Study $study;

    /** @var list<string> connections that were asked, with what */
    private array $asked = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import($this->study, "keyword,position\nink,4\nnib,30\n", options: ['--domain' => 'quillfair.example']);
        $this->import($this->study, "keyword,position\nink,9\npaper,2\n", options: ['--domain' => 'inkmoor.example']);
        $this->import($this->study, "keyword,volume,difficulty\nink,900,40\npaper,300,20\n", 'keywords');
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $first = config()->array('database.connections.pgsql');
        config(['database.connections.standby' => $first]);
        DB::connection('standby')->statement('SET SESSION CHARACTERISTICS AS TRANSACTION READ ONLY');
        Event::listen(QueryExecuted::class, function (QueryExecuted $query): void {
            $this->asked[] = $query->connectionName;
        });
    }

    public function test_every_question_that_may_go_there_can_be_answered_there(): void
    {
        $this->actingAs($this->makeEditor($this->study));
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (! \in_array(ReadFromReplica::class, $route->gatherMiddleware(), true)) {
                continue;
            }
            $path = '/'.str_replace('{study}', $this->study->slug, $route->uri());
            $path .= str_ends_with($path, '/keyword') ? '?keyword=ink' : '';
            $this->asked = [];
            $status = $this->getJson($path)->getStatusCode();
            self::assertLessThan(500, $status, $path);
            self::assertContains('standby', $this->asked, $path);
            if ($status === 200) {
                $there = $this->getJson($path)->json();
                config(['database.connections.standby.host' => null]);
                self::assertSame($this->getJson($path)->json(), $there, $path);
                config(['database.connections.standby.host' => '127.0.0.1']);
                ++$asked;
            }
        }
        self::assertGreaterThan(25, $asked);
    }

    public function test_who_has_just_changed_something_is_answered_by_the_first_database(): void
    {
        $editor = $this->makeEditor($this->study);
        $at = "/api/v1/studies/{$this->study->slug}";
        $this->actingAs($editor)->postJson($at.'/decisions', ['keywords' => ['paper'], 'mark' => 'shortlisted'])->assertOk();
        self::assertNotContains('standby', $this->connectionsOf($at.'/opportunities'));
        $this->actingAs($this->makeEditor($this->study, 'reader'));
        self::assertContains('standby', $this->connectionsOf($at.'/opportunities'));
        $this->actingAs($editor);
        Cache::flush();
        self::assertContains('standby', $this->connectionsOf($at.'/opportunities'));
    }

    public function test_where_the_standby_does_not_answer_the_first_one_does(): void
    {
        DB::purge('standby');
        config(['database.connections.standby.port' => 1]);
        $this->actingAs($this->makeEditor($this->study));
        self::assertNotContains('standby', $this->connectionsOf("/api/v1/studies/{$this->study->slug}/opportunities"));
    }

    /** @return list<string> */
    private function connectionsOf(string $path): array
    {
        $this->asked = [];
        $this->getJson($path)->assertOk()->assertJsonPath('total', 3);

        return $this->asked;
    }
}
