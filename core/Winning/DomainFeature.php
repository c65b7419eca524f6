<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/**
 * What of a domain, beside the difficulty of the keyword, can tell whether it stands on page one. The win model learns a slope for each.
 */
enum DomainFeature: string
{
    case Authority = 'authority';

    /**
     * @param array<mixed> $kept feature → figure, perhaps with more beside it
     *
     * @return array<string, ?float> every feature → figure, null where it is unknown
     */
    public static function figures(array $kept): array
    {
        $figures = [];
        foreach (self::cases() as $feature) {
            $figure = $kept[$feature->value] ?? null;
            $figures[$feature->value] = is_numeric($figure) ? (float) $figure : null;
        }

        return $figures;
    }
}
