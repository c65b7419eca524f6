<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/** What someone who types the keyword seems to want. */
enum Intent: string
{
    case Buy = 'buy';
    case Compare = 'compare';
    case Learn = 'learn';
    case Open = 'open';

    /** Funnel stage; unset for an open intent. */
    public function stage(): ?string
    {
        return match ($this) {
            self::Buy => 'bottom',
            self::Compare => 'middle',
            self::Learn => 'top',
            self::Open => null,
        };
    }
}
