<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Support\Tabular\Table;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Winning\Calibration;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceClass;
use GreaterReach\Core\Winning\PositionFeature;
use GreaterReach\Core\Winning\PositionFit;

/** What a study has taught, a figure a row. */
final class ModelExport
{
    private const HEADINGS = ['name', 'value'];

    /** @throws UserError when it was not weighed, or by rules before these */
    public function table(Comparison $comparison): Table
    {
        $models = $comparison->models() ?? throw UserError::because('comparison', 'It has no model. Compare again.');
        $rows = [];
        foreach (self::figures($models) as $name => $value) {
            $rows[] = [$name, $value];
        }

        return new Table(self::HEADINGS, $rows);
    }

    /** @return array<string, string|int|float|null> name → value */
    private static function figures(Models $models): array
    {
        $fit = $models->positions->fit;
        $figures = [
            'rows' => $fit->rows,
            'assumed' => $fit->isAssumed ? 1 : 0,
            'market_pages' => $models->effects->marketPages,
            'market_shift' => $models->effects->marketShift,
        ];
        foreach (PageKind::cases() as $kind) {
            $effect = $models->effects->of($kind);
            $figures["effect_{$kind->value}"] = $effect->mean();
            $figures["effect_{$kind->value}_sd"] = $effect->posterior->deviation();
            $figures["effect_{$kind->value}_items"] = $effect->items;
        }
        foreach (PlaceClass::BOUNDS as $class => $bound) {
            $figures["alpha_{$bound}"] = PositionFit::spell($fit->alphas[$class]);
        }
        foreach (PositionFeature::cases() as $feature) {
            $figures["beta_{$feature->value}"] = $fit->betas[$feature->value] ?? null;
        }
        $figures['odd'] = $fit->odd === [] ? null : implode(',', array_column($fit->odd, 'value'));

        return [...$figures, ...self::judged($models->positions->calibration), ...self::lines($models)];
    }

    /**
     * @param list<Calibration> $calibration
     *
     * @return array<string, ?float>
     */
    private static function judged(array $calibration): array
    {
        $figures = [];
        foreach ($calibration as $one) {
            $figures["brier_{$one->bound}"] = $one->brier;
            $figures["brier_{$one->bound}_base"] = $one->base;
        }

        return $figures;
    }

    /** @return array<string, int|float> */
    private static function lines(Models $models): array
    {
        return [
            'links_a' => $models->links->intercept,
            'links_b' => $models->links->slope,
            'links_n' => $models->links->keywords,
            'comfort' => $models->comfort->value,
            'comfort_n' => $models->comfort->keywords,
        ];
    }
}
