<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** What a study had set before chances were learnt from positions goes on by the names and bounds of now. */
final class CarriedRulebookTest extends TestCase
{
    public function test_settings_of_the_model_before_are_carried_over(): void
    {
        $study = $this->makeStudy();
        $settings = [
            'win_lambda' => '5000',
            'head_start_11_20' => '0.5',
            'ease_bands' => '10,10,20,30,40',
            'target' => '5',
            'short_term_chance' => '0.4',
        ];
        foreach ($settings as $key => $value) {
            DB::table('rulebook_settings')->insert(['study_id' => $study->id, 'key' => $key, 'value' => $value]);
        }
        $change = DB::table('changes')->insertGetId([
            'study_id' => $study->id,
            'what' => 'rulebook',
            'detail' => json_encode($settings, JSON_THROW_ON_ERROR),
        ]);
        $migration = require database_path('migrations/2026_11_25_000022_learn_positions.php');
        self::assertInstanceOf(Migration::class, $migration);
        (new \ReflectionMethod($migration, 'carryRulebooksOver'))->invoke($migration);

        $carried = ['model_lambda' => '1000', 'short_term_chance' => '0.4', 'target' => '5'];
        self::assertSame($carried, $study->refresh()->rulebook()->changes());
        $detail = (array) json_decode((string) DB::table('changes')->where('id', $change)->value('detail'), true);
        ksort($detail);
        self::assertSame($carried, $detail);
    }
}
