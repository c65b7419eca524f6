<?php

declare(strict_types=1);

namespace App\Models;

/** What a piece of long work does. */
enum TaskKind: string
{
    case Preview = 'preview';
    case Import = 'import';
    case Pull = 'pull';
    case Steadiness = 'steadiness';
    case Export = 'export';

    /** Lanes of the queue: what takes long waits for its like alone. */
    public const LONG = 'default';
    public const SHORT = 'short';

    public function isLong(): bool
    {
        return $this === self::Import || $this === self::Pull;
    }

    public function lane(): string
    {
        return $this->isLong() ? self::LONG : self::SHORT;
    }
}
