<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use GreaterReach\Core\Statistics\OddsCurvature;
use GreaterReach\Core\Statistics\OddsTable;
use PHPUnit\Framework\TestCase;

/**
 * The likelihood of the proportional odds model against its definition (McCullagh 1980, from memory: the chance of class k or lower is the
 * logistic function of α of k plus β·x), and its slopes and curvature against differences of it.
 */
final class OddsCurvatureTest extends TestCase
{
    private const LAMBDA = .7;
    private const PARAMETERS = [-1.2, -.3, .9, .4, -.25];
    private const GROUPS = [
        [[.5, -1.0], [3, 1, 0, 2]],
        [[-1.5, .75], [0, 4, 5, 1]],
        [[2.0, 2.0], [7, 0, 0, 0]],
        [[0.0, -.4], [0, 0, 2, 6]],
    ];

    public function test_the_likelihood_is_that_of_its_definition(): void
    {
        $sum = 0.0;
        [$alphas, $betas] = [\array_slice(self::PARAMETERS, 0, 3), \array_slice(self::PARAMETERS, 3)];
        foreach (self::GROUPS as [$x, $counts]) {
            $upTo = 0.0;
            foreach ($counts as $class => $rows) {
                $score = $class === 3 ? INF : $alphas[$class] + $betas[0] * $x[0] + $betas[1] * $x[1];
                $next = 1 / (1 + exp(-$score));
                $sum -= $rows * log($next - $upTo);
                $upTo = $next;
            }
        }
        $sum += self::LAMBDA / 2 * ($betas[0] ** 2 + $betas[1] ** 2);
        self::assertEqualsWithDelta($sum, self::look(self::PARAMETERS)['sum'], 1e-9);
    }

    public function test_slopes_are_differences_of_the_likelihood_and_the_curvature_differences_of_slopes(): void
    {
        $here = self::look(self::PARAMETERS);
        $step = 1e-5;
        foreach (self::PARAMETERS as $place => $_) {
            [$up, $down] = [self::PARAMETERS, self::PARAMETERS];
            $up[$place] += $step;
            $down[$place] -= $step;
            [$above, $below] = [self::look($up), self::look($down)];
            self::assertEqualsWithDelta(($above['sum'] - $below['sum']) / (2 * $step), $here['gradient'][$place], 1e-6);
            foreach (self::PARAMETERS as $other => $_) {
                $bend = ($above['gradient'][$other] - $below['gradient'][$other]) / (2 * $step);
                self::assertEqualsWithDelta($bend, $here['hessian'][$place][$other], 1e-6, "{$place}, {$other}");
            }
        }
        $squares = array_map(static fn(float $one): float => $one ** 2, $here['gradient']);
        self::assertEqualsWithDelta(sqrt(array_sum($squares)), $here['norm'], 1e-12);
    }

    public function test_thresholds_that_do_not_rise_have_no_likelihood(): void
    {
        self::assertTrue((new OddsCurvature([-1.0, -.9, 0.0], 2))->keepApart([1, 1, 1]));
        self::assertFalse((new OddsCurvature([-1.0, -1.0, 0.0], 2))->keepApart([1, 1, 1]));
        self::assertFalse((new OddsCurvature([-1.0, -1.1, 0.0], 2))->keepApart([1, 1, 1]));
        self::assertFalse((new OddsCurvature([-1.0, NAN, 0.0], 2))->keepApart([1, 1, 1]));
        self::assertFalse((new OddsCurvature([-1.0, 0.0, -.5, 0.0], 3))->keepApart([1, 1, 1, 1]));
    }

    /**
     * @param list<float> $parameters
     *
     * @return array{sum: float, norm: float, gradient: list<float>, hessian: list<list<float>>}
     */
    private static function look(array $parameters): array
    {
        $table = new OddsTable(2, 4);
        foreach (self::GROUPS as [$x, $counts]) {
            $table->add($x, $counts);
        }
        $curvature = new OddsCurvature($parameters, 3);
        self::assertTrue($curvature->keepApart($table->totals));
        $curvature->addAll($table);

        return $curvature->penalised(self::LAMBDA);
    }
}
