<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** What work brings, new pages and existing ones apart, in one draw or on average: shifts of the logarithm of the odds. */
final readonly class Shifts
{
    public function __construct(public float $new, public float $existing)
    {
    }

    public static function means(Effects $effects): self
    {
        return new self($effects->new->mean(), $effects->existing->mean());
    }

    /**
     * @param float $new      above 0, up to 1
     * @param float $existing the same
     */
    public static function drawn(Effects $effects, float $new, float $existing): self
    {
        return new self($effects->new->posterior->quantile($new), $effects->existing->posterior->quantile($existing));
    }
}
