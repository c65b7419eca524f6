<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** How a domain's authority compares with ours. */
enum AuthorityPeer: string
{
    case Comparable = 'comparable';
    /** So far above us that its gap is every keyword there is. */
    case Giant = 'giant';
    case Stronger = 'stronger';
    /** Kind of file can be taken quickly. */
    case Weaker = 'weaker';

    /** From this many bands above ours a domain is a giant (our own choice: five times the comparable band). */
    private const GIANT_FROM_BANDS = 5;

    /** @param float $band authority above or below ours that still counts as comparable; null result where one is unknown */
    public static function of(?float $authority, ?float $own, float $band): ?self
    {
        if ($authority === null || $own === null) {
            return null;
        }
        $distance = $authority - $own;

        return match (true) {
            abs($distance) <= $band => self::Comparable,
            $distance >= self::GIANT_FROM_BANDS * $band => self::Giant,
            $distance > 0 => self::Stronger,
            default => self::Weaker,
        };
    }
}
