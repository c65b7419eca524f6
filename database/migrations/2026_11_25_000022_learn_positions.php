<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Chances are learnt from who stands where. Rows get the ground and the features of the results page, scores become measures, settings of
 * the model before are carried over, and every comparison is made anew when it is next asked for.
 */
return new class extends Migration {
    private const GONE = ['head_start_11_20', 'head_start_21_50'];
    private const RENAMED = ['win_lambda' => 'model_lambda'];
    private const SCORES = ['volume', 'ease', 'gain', 'value', 'intent', 'fit'];

    public function up(): void
    {
        $tables = ['comparison_rows'];
        foreach (DB::table('comparisons')->where('has_own_rows', true)->pluck('id') as $comparison) {
            $tables[] = "comparison_rows_c{$comparison}";
        }
        $scores = implode(', ', array_map(static fn(string $name): string => "ALTER score_{$name} TYPE float8", self::SCORES));
        foreach ($tables as $table) {
            DB::statement(
                "ALTER TABLE {$table} ADD ground float8, ADD ground_held bigint, ADD ground_of bigint, ADD features text, ".
                    "ADD score_expected float8, {$scores}, ADD score_cell integer",
            );
        }
        DB::statement('ALTER TABLE plan_items ADD said jsonb');
        $this->carryRulebooksOver();
        DB::statement('UPDATE studies SET data_version = data_version + 1');
    }

    private function carryRulebooksOver(): void
    {
        $touched = [...array_keys(self::RENAMED), ...self::GONE, 'ease_bands'];
        foreach (DB::table('rulebook_settings')->whereIn('key', $touched)->get() as $setting) {
            $row = DB::table('rulebook_settings')->where('study_id', $setting->study_id)->where('key', $setting->key);
            $carried = self::carried([$setting->key => $setting->value]);
            $carried === [] ? $row->delete() : $row->update(['key' => array_key_first($carried), 'value' => reset($carried)]);
        }
        foreach (DB::table('changes')->where('what', 'rulebook')->get(['id', 'detail']) as $change) {
            /** @var array<string, string> $settings */
            $settings = json_decode($change->detail, true, 8, JSON_THROW_ON_ERROR);
            $carried = json_encode((object) self::carried($settings), JSON_THROW_ON_ERROR);
            DB::table('changes')->where('id', $change->id)->update(['detail' => $carried]);
        }
    }

    /**
     * @param array<string, string> $settings key → text
     *
     * @return array<string, string> the same by the keys and bounds of now
     */
    private static function carried(array $settings): array
    {
        $carried = [];
        foreach ($settings as $key => $text) {
            if (isset(self::RENAMED[$key])) {
                $carried[self::RENAMED[$key]] = (string) min(1000, max(.001, (float) $text));
                continue;
            }
            $isRefused = $key === 'ease_bands' && ! self::rises(array_map(floatval(...), explode(',', $text)));
            if (! in_array($key, self::GONE, true) && ! $isRefused) {
                $carried[$key] = $text;
            }
        }

        return $carried;
    }

    /** @param list<float> $bounds */
    private static function rises(array $bounds): bool
    {
        foreach ($bounds as $place => $bound) {
            if ($bound >= 100 || ($place > 0 && $bound <= $bounds[$place - 1])) {
                return false;
            }
        }

        return true;
    }

    public function down(): void
    {
        throw new RuntimeException('What was weighed by these rules cannot be turned back into what was weighed before.');
    }
};
