<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** How searches are spread over the year. */
enum SeasonKind: string
{
    case Steady = 'steady';
    case Seasonal = 'seasonal';
}
