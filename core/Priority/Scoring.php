<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Meaning\Intent;

/** Turns the figures of a keyword or of a topic into a score of each criterion, by the bounds of a rulebook. */
final readonly class Scoring
{
    /** Score of each intent as a criterion. */
    private const INTENT_SCORES = ['buy' => 5, 'compare' => 4, 'learn' => 2, 'open' => 2];

    public function __construct(private WeighSettings $settings)
    {
    }

    /**
     * @param ?float         $expected visits a month
     * @param int|float|null $volume   searches a month
     * @param ?float         $gain     visits a month
     * @param ?float         $worth    expected visits a month per day of work
     * @param int|float|null $fit      0…5
     */
    public function of(
        ?float $expected,
        int|float|null $volume,
        ?float $difficulty,
        ?float $gain,
        ?float $worth,
        ?float $cpc,
        Intent $intent,
        int|float|null $fit,
    ): Scores {
        [$set, $style] = [$this->settings, $this->settings->style];
        $scores = [];
        foreach (Criterion::cases() as $criterion) {
            $scores[$criterion->value] = match ($criterion) {
                Criterion::Expected => $set->expectedBands->rising($expected, $style),
                Criterion::Volume => $set->volumeBands->rising($volume, $style),
                Criterion::Ease => $set->easeBands->falling($difficulty, $style),
                Criterion::Gain => $set->gainBands->rising($gain, $style),
                Criterion::Worth => $set->worthBands->rising($worth, $style),
                Criterion::Value => $set->valueBands->rising($cpc, $style),
                Criterion::Intent => self::INTENT_SCORES[$intent->value],
                Criterion::Fit => $fit,
            };
        }

        return Scores::of($scores);
    }
}
