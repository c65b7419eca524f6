<?php

declare(strict_types=1);

namespace Tests\StandIn;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\CurveFit;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Statistics\ProportionalOdds;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\GroundIndex;
use GreaterReach\Core\Winning\PlaceClass;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\PositionObservations;
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
     * Places of six domains for 4,000 keywords, drawn from a known truth of proportional odds. With 24,000 rows the standard errors are
     * near
     * .0005 for the difficulty and .0006 for the authority; the tolerance is some six times that.
     */
    public function test_the_position_model_finds_the_truth_it_was_drawn_from(): void
    {
        $noise = new Noise(8);
        $authorities = [38.0, 41.0, 36.0, 43.0, 14.0, 78.0];
        $alphas = [-1.6, -0.7, -0.2, 0.4, 1.1, 1.7, 2.1];
        $observations = new PositionObservations($authorities, array_keys($authorities));
        $grounds = new GroundIndex(\count($authorities));
        for ($keyword = 0; $keyword < 4000; ++$keyword) {
            $difficulty = round(100 * $noise->uniform("difficulty {$keyword}"));
            $positions = [];
            foreach ($authorities as $domain => $authority) {
                $drawn = $noise->uniform("place {$keyword} {$domain}");
                $upTo = static fn(float $alpha): float => ProportionalOdds::sigmoid($alpha - 0.05 * $difficulty + 0.03 * $authority);
                $class = \count(array_filter($alphas, static fn(float $alpha): bool => $drawn > $upTo($alpha)));
                $positions[] = PlaceClass::BOUNDS[$class] ?? null;
            }
            $observations->add("keyword {$keyword}", $difficulty, null, $positions, false);
            $grounds->add($positions);
        }
        // Each keyword a topic of its own that no other is related to, and every domain has a page for it.
        $numbers = range(0, 3999);
        $names = array_map(static fn(int $number): string => "topic{$number}", $numbers);
        $stemmer = new class implements Stemmer {
            #[\Override]
            public function stems(array $words): array
            {
                return array_combine($words, $words);
            }
        };
        $grounds->settle(new Topics($names, $numbers, $numbers, StemSets::of($names, $stemmer)), $numbers);
        $groups = $observations->groups($grounds, $numbers, array_fill(0, 4000, (1 << \count($authorities)) - 1));
        $comfort = ComfortDifficulty::fromDifficulties([]);
        $model = PositionModel::learn($groups, 1.0, $comfort, 38.0);
        self::assertEqualsWithDelta(-0.05, $model->fit->betas['difficulty'], 0.003);
        self::assertEqualsWithDelta(0.03, $model->fit->betas['authority'], 0.004);
        self::assertEqualsWithDelta($alphas, $model->fit->alphas, 0.25);
        self::assertNull($model->fit->betas['ground'], 'Nothing is related, so all grounds are alike.');
        foreach ($model->judged($groups, 1.0, $comfort)->calibration as $calibration) {
            foreach ($calibration->bins as $bin) {
                if ($bin['rows'] > 500) {
                    $what = 'What is said happens as often as said.';
                    self::assertEqualsWithDelta((float) $bin['predicted'], (float) $bin['observed'], 0.05, $what);
                }
            }
        }
    }
}
