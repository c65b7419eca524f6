<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Audit\PreviousValues;
use App\Actions\Domains\ChooseDomainFigures;
use App\Models\Study;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Rulebook\Settings;
use GreaterReach\Core\Rulebook\SettingTitles;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Changes settings of a study's rulebook, all or none, and logs who did. */
final readonly class ChangeRulebook
{
    public function __construct(private ChooseDomainFigures $choose, private PreviousValues $before)
    {
    }

    /**
     * @param array<string, string> $settings key → value as a person writes it
     * @param array<string, string> $seen     key → value that the person saw; a setting that is another now is not overwritten
     *
     * @throws ConflictHttpException when someone else changed one of these settings in between
     */
    public function execute(Study $study, array $settings, ?int $userId = null, array $seen = []): Rulebook
    {
        return DB::transaction(function () use ($study, $settings, $userId, $seen): Rulebook {
            Study::query()->whereKey($study->id)->lockForUpdate()->first();
            $old = $study->rulebook();
            self::checkSeen($old, array_intersect_key($seen, $settings));
            $rulebook = $old->with($settings);
            // What was as it comes is told as nothing.
            $asItComes = array_fill_keys(array_keys($settings), null);
            $this->before->note('rulebook', [...$asItComes, ...array_intersect_key($old->changes(), $settings)]);
            DB::table('rulebook_settings')->where('study_id', $study->id)->delete();
            foreach ($rulebook->changes() as $key => $value) {
                DB::table('rulebook_settings')->insert(['study_id' => $study->id, 'key' => $key, 'value' => $value]);
            }
            DB::table('changes')->insert([
                'study_id' => $study->id,
                'user_id' => $userId,
                'what' => 'rulebook',
                'detail' => json_encode($settings, JSON_THROW_ON_ERROR),
            ]);
            if (\array_key_exists('authority_sources', $settings)) {
                $this->choose->execute($study);
            }
            $study->touchData();

            return $rulebook;
        });
    }

    /** @param array<string, string> $seen */
    private static function checkSeen(Rulebook $current, array $seen): void
    {
        foreach ($seen as $key => $value) {
            if ($current->with([$key => $value])->value($key) !== $current->value($key)) {
                throw new ConflictHttpException(sprintf(
                    'Someone else changed "%s" to %s. Reload to see it, then try again.',
                    SettingTitles::of($key),
                    $current->spelt($key) === '' ? 'nothing' : $current->spelt($key),
                ));
            }
        }
    }

    /**
     * @return list<array{key: string, title: string, type: string, min: ?float, max: ?float, choices: list<string>, value: mixed,
     *     default: mixed, bounds: string, meaning: string}>
     */
    public function describe(Rulebook $rulebook): array
    {
        $described = [];
        foreach (Settings::all() as $key => $setting) {
            $described[] = [
                'key' => $key,
                'title' => SettingTitles::of($key),
                'type' => $setting->type->value,
                'min' => $setting->min,
                'max' => $setting->max,
                'choices' => $setting->choices,
                'value' => $rulebook->value($key),
                'default' => $setting->default,
                'bounds' => $setting->bounds(),
                'meaning' => $setting->meaning,
            ];
        }

        return $described;
    }
}
