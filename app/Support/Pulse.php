<?php

declare(strict_types=1);

namespace App\Support;

/** Reports progress at intervals of time, however many rows have passed. */
final class Pulse
{
    private float $next = 0.0;

    /** @param ?\Closure(int): mixed $told may end the work by an exception of its own; null where no one watches */
    public function __construct(private readonly ?\Closure $told = null, private readonly float $seconds = .2)
    {
    }

    public function beat(int $done = 0): void
    {
        if ($this->told === null) {
            return;
        }
        // Not the time of day, which can be set back.
        $now = hrtime(true) / 1e9;
        if ($now >= $this->next) {
            $this->next = $now + $this->seconds;
            ($this->told)($done);
        }
    }
}
