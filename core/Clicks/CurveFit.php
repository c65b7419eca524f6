<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Results\Places;
use GreaterReach\Core\Statistics\IsotonicRegression;

/**
 * Fits the CTR curve to our own clicks and impressions, each row by itself, queries branded with us left out.
 *
 * Rows are binned by mean position rounded half up, 1…20. A bin's rate is shrunk towards the default curve, which weighs
 * as many impressions as the prior says; then the rates are made non-increasing. Beyond the last bin with at least 200
 * impressions the default curve is carried on at the ratio it has there.
 */
final class CurveFit
{
    public const BINS = 20;
    public const FEWEST_IMPRESSIONS = 200;
    private const TRUSTED_CLICKS = 300;
    private const TRUSTED_BINS = 5;

    private int $allClicks = 0;

    /** @var array<int, int> */
    private array $clicks;

    /** @var array<int, int> */
    private array $impressions;

    public function __construct(
        /** Impressions that the default curve weighs in each bin. */
        private readonly float $prior = 500.0,
    ) {
        $this->clicks = $this->impressions = array_fill(1, self::BINS, 0);
    }

    /** @param float $position mean position of the row */
    public function add(float $position, int $clicks, int $impressions): void
    {
        $this->allClicks += $clicks;
        $bin = (int) floor($position + .5);
        if ($bin >= 1 && $bin <= self::BINS) {
            $this->clicks[$bin] += $clicks;
            $this->impressions[$bin] += $impressions;
        }
    }

    /** Whether the clicks suffice to use the fitted curve without being asked. */
    public function isTrustworthy(): bool
    {
        $firstPage = \array_slice($this->impressions, 0, PageOne::LAST, true);
        $measured = array_filter($firstPage, static fn(int $count): bool => $count >= self::FEWEST_IMPRESSIONS);

        return $this->allClicks >= self::TRUSTED_CLICKS && \count($measured) >= self::TRUSTED_BINS;
    }

    /** The fitted curve; the default one when no bin has enough impressions. */
    public function curve(): CtrCurve
    {
        $default = CtrCurve::default();
        $last = $this->lastMeasuredBin();
        if ($last === null) {
            return $default;
        }
        $rates = $weights = [];
        for ($bin = 1; $bin <= self::BINS; ++$bin) {
            $weight = $this->impressions[$bin] + $this->prior;
            $rates[] = $weight > 0 ? ($this->clicks[$bin] + $this->prior * $default->at($bin)) / $weight : $default->at($bin);
            $weights[] = max($weight, 1e-9);
        }
        $fitted = IsotonicRegression::nonIncreasing($rates, $weights);

        return CtrCurve::ofRates(self::withTail(\array_slice($fitted, 0, $last), $default));
    }

    /** @return array<int, array{clicks: int, impressions: int}> position → what was measured there */
    public function bins(): array
    {
        $bins = [];
        foreach ($this->clicks as $bin => $clicks) {
            $bins[$bin] = ['clicks' => $clicks, 'impressions' => $this->impressions[$bin]];
        }

        return $bins;
    }

    private function lastMeasuredBin(): ?int
    {
        $measured = array_keys(array_filter($this->impressions, static fn(int $count): bool => $count >= self::FEWEST_IMPRESSIONS));

        return $measured === [] ? null : max($measured);
    }

    /**
     * @param list<float> $head not empty
     *
     * @return list<float>
     */
    private static function withTail(array $head, CtrCurve $default): array
    {
        $last = \count($head);
        $ratio = $head[$last - 1] / $default->at($last);
        for ($position = $last + 1; $position <= Places::WORST; ++$position) {
            $head[] = min($head[$position - 2], $default->at($position) * $ratio);
        }

        return $head;
    }
}
