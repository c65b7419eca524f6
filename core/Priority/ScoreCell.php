<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/**
 * Scores to half a point, in one whole number: who lies in one cell has much the same priority under any weights, so that the top of a long
 * list can be looked for in few cells.
 */
final class ScoreCell
{
    private const STEPS = 2;

    /** Unknown, and 0 to 5 in halves. */
    private const VALUES = 12;

    public static function of(Scores $scores): int
    {
        $cell = 0;
        foreach ($scores->toArray() as $score) {
            $cell = $cell * self::VALUES + ($score === null ? 0 : 1 + (int) ceil(self::STEPS * $score));
        }

        return $cell;
    }

    /** @return array{float, float} between which priorities of a cell lie, −1 for both where no criterion that counts is known */
    public static function priorities(int $cell, Weights $weights): array
    {
        $sum = $all = 0.0;
        foreach (array_reverse($weights->toArray()) as $weight) {
            $value = $cell % self::VALUES;
            $cell = intdiv($cell, self::VALUES);
            if ($value > 0) {
                $sum += $weight * ($value - 1) / self::STEPS;
                $all += $weight;
            }
        }

        return $all > 0.0 ? [$sum / $all - 1 / self::STEPS, $sum / $all] : [-1.0, -1.0];
    }
}
