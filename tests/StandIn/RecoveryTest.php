<?php

declare(strict_types=1);

namespace Tests\StandIn;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Statistics\LogisticRegression;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\WinModel;
use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\TestCase;
use StandIn\Market;
use StandIn\Noise;

/** Where the truth is simulated, what is fitted must find it again. */
final class RecoveryTest extends TestCase
{
    /**
     * 40,000 impressions in each bin, clicks drawn from the market's hidden curve. A bin's rate has a standard error of at most
     * √(.28 · .72 ÷ 40000) = .0022, and 500 prior impressions pull it by at most 1.3 % of its distance to the default
     * (.045 · .0125 = .0006): five standard errors and the pull stay below .012.
     */
    public function test_the_fitted_curve_finds_the_hidden_one(): void
    {
        $noise = new Noise(4);
        $fit = new CurveFit(500);
        foreach (range(1, 20) as $position) {
            foreach (range(1, 40) as $query) {
                $rate = Market::hiddenCtr($position);
                $clicks = (int) round(1000 * $rate + sqrt(1000 * $rate * (1 - $rate)) * $noise->normal("{$position} {$query}"));
                $fit->add($position, max(0, $clicks), 1000);
            }
        }
        $curve = $fit->curve();
        foreach (range(1, 20) as $position) {
            self::assertEqualsWithDelta(Market::hiddenCtr($position), $curve->at($position), 0.012, 'Position '.$position);
        }
        self::assertGreaterThan(
            0.03,
            abs(CtrCurve::default()->at(1) - Market::hiddenCtr(1)),
            'The default curve is far from the truth, so the fit had something to find.',
        );
    }

    /**
     * Page-one places of six domains for 4,000 keywords, drawn from a known logistic truth. With 24,000 rows the standard errors
     * are near .0008 for the difficulty and .0011 for the authority; the tolerance is four times that.
     */
    public function test_the_win_model_finds_the_truth_it_was_drawn_from(): void
    {
        $noise = new Noise(8);
        $authorities = [38.0, 41.0, 36.0, 43.0, 14.0, 78.0];
        $observations = new WinObservations(array_keys($authorities));
        for ($keyword = 0; $keyword < 4000; ++$keyword) {
            $difficulty = round(100 * $noise->uniform("difficulty {$keyword}"));
            $observations->add(
                $difficulty,
                array_map(
                    static fn(float $authority, int $domain): ?int => $noise->uniform("place {$keyword} {$domain}") <
                    LogisticRegression::sigmoid(0.4 - 0.05 * $difficulty + 0.03 * $authority)
                        ? 5
                        : null,
                    $authorities,
                    array_keys($authorities),
                ),
            );
        }
        $figures = array_map(static fn(float $authority): array => ['authority' => $authority], $authorities);
        $model = WinModel::fit($observations, $figures, 1.0, ComfortDifficulty::fromDifficulties([]));
        self::assertEqualsWithDelta(-0.05, $model->difficultySlope, 0.0035);
        self::assertEqualsWithDelta(0.03, $model->slopes['authority'], 0.0045);
        self::assertEqualsWithDelta(0.4, $model->intercept, 0.25);
        foreach ($model->calibration as $bin) {
            if ($bin['rows'] > 500) {
                self::assertEqualsWithDelta(
                    (float) $bin['predicted'],
                    (float) $bin['observed'],
                    0.05,
                    'What is said happens as often as said.',
                );
            }
        }
    }
}
