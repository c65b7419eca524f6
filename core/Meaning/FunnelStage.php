<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/** How near a searcher is to buying. */
enum FunnelStage: string
{
    case Top = 'top';
    case Middle = 'middle';
    case Bottom = 'bottom';

    /** What a person said stands before what the intent tells; null where neither tells any. */
    public static function of(?self $said, ?Intent $intent): ?self
    {
        return $said ?? self::tryFrom((string) $intent?->stage());
    }
}
