<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Statistics\LeastSquares;

/**
 * How many referring domains a page needs to stand on page one: measured on page one itself where its results are
 * known, else a fit of ln(1 + links) on difficulty over this study, else an assumed line.
 *
 * @phpstan-type KeptLinks array{intercept: float, slope: float, keywords: int, isAssumed: bool}
 */
final readonly class LinksNeeded
{
    public const FEWEST_KEYWORDS = 10;
    private const ASSUMED_INTERCEPT = 0.0;
    private const ASSUMED_SLOPE = .06;

    private function __construct(public float $intercept, public float $slope, public int $keywords, public bool $isAssumed)
    {
    }

    /**
     * @param list<float> $difficulties of the keywords whose page-one median is known
     * @param list<float> $medians      referring domains, as many
     */
    public static function fit(array $difficulties, array $medians): self
    {
        $count = \count($difficulties);
        $line = $count < self::FEWEST_KEYWORDS ? null : LeastSquares::line($difficulties, array_map(log1p(...), $medians));

        return $line === null
            ? new self(self::ASSUMED_INTERCEPT, self::ASSUMED_SLOPE, $count, true)
            : new self($line->intercept, $line->slope, $count, false);
    }

    /** @return KeptLinks */
    public function toArray(): array
    {
        return ['intercept' => $this->intercept, 'slope' => $this->slope, 'keywords' => $this->keywords, 'isAssumed' => $this->isAssumed];
    }

    /** @param KeptLinks $kept */
    public static function fromArray(array $kept): self
    {
        return new self((float) $kept['intercept'], (float) $kept['slope'], $kept['keywords'], $kept['isAssumed']);
    }

    /** @param ?float $pageOneMedian median referring domains of the pages at 1–10, null where not known */
    public function needed(?float $pageOneMedian, ?float $difficulty): ?float
    {
        if ($pageOneMedian !== null) {
            return $pageOneMedian;
        }

        return $difficulty === null ? null : exp($this->intercept + $this->slope * $difficulty) - 1;
    }

    /** Links to earn: what is needed, rounded up, less those our ranking page has; never below 0. */
    public function toEarn(?float $pageOneMedian, ?float $difficulty, int $have): ?int
    {
        $needed = $this->needed($pageOneMedian, $difficulty);

        return $needed === null ? null : max(0, (int) ceil($needed) - $have);
    }
}
