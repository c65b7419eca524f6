<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/** Where we stand for a keyword against the competitors. The six are disjoint and complete. */
enum Standing: string
{
    case Gap = 'gap';
    case Behind = 'behind';
    case Level = 'level';
    case Ahead = 'ahead';
    case Alone = 'alone';
    case Unclaimed = 'unclaimed';

    /** @param ?int $own our position, @param ?int $best the competitors' best; null means absent */
    public static function of(?int $own, ?int $best): self
    {
        if ($own === null) {
            return $best === null ? self::Unclaimed : self::Gap;
        }
        if ($best === null) {
            return self::Alone;
        }

        return $best < $own ? self::Behind : ($best === $own ? self::Level : self::Ahead);
    }
}
