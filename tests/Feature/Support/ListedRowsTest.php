<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Rows\ListedRows;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class ListedRowsTest extends TestCase
{
    public function test_sql_and_core_let_the_same_through(): void
    {
        foreach (range(0, 5) as $smallest) {
            $gate = Rulebook::fromTexts(['min_fit' => (string) $smallest])->fitGate();
            foreach ([null, 0, 1, 2, 3, 4, 5] as $fit) {
                $row = DB::selectOne(
                    'SELECT ('.
                        ListedRows::condition($gate).
                        ') IS TRUE AS listed FROM (VALUES (true, ?::smallint)) r (is_listed, score_fit)',
                    [$fit],
                );
                self::assertSame($gate->lets($fit), $row?->listed);
            }
        }
    }

    public function test_a_minimum_fit_gates_every_view_of_the_opportunities(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,volume,difficulty\npen,3,900,20\nnib,4,40,60\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['min_fit=3']]);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $at = "/api/v1/studies/{$study->slug}/";
        $this->postJson($at.'decisions', ['keywords' => ['pen'], 'fit' => 3])->assertOk();
        $this->getJson($at.'opportunities')->assertJsonPath('total', 1);
        $this->getJson($at.'opportunities/map')->assertJsonCount(1, 'points');
        self::assertSame(1, array_sum(array_column($this->getJson($at.'opportunities/groups?by=horizon')->json(), 'keywords')));
        self::assertCount(1, $this->getJson($at.'opportunities/steadiness')->json('shares'));
        self::assertSame(2, substr_count($this->command('reach:weigh', ['slug' => $study->slug])[1], "\r\n"));
    }
}
