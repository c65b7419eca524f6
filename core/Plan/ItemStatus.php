<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** How far a piece of work on the roadmap is. */
enum ItemStatus: string
{
    case Planned = 'planned';
    case Writing = 'writing';
    case Published = 'published';
    case Done = 'done';
    case Dropped = 'dropped';

    /**
     * Whether the work ends after the month in which it should be out for its season.
     *
     * @param ?string $ends      YYYY-MM, the month in which the work ends
     * @param ?string $publishBy YYYY-MM
     */
    public function isLate(?string $ends, ?string $publishBy): bool
    {
        return $this !== self::Done && $ends !== null && $publishBy !== null && $ends > $publishBy;
    }

    /** Counts in capacity and forecast. */
    public function isAlive(): bool
    {
        return $this !== self::Dropped;
    }

    /** Still to be worked on, so that an auto-plan may move it. */
    public function isOpen(): bool
    {
        return $this !== self::Done && $this !== self::Dropped;
    }

    /** Nothing of it is out yet, so that its day can pass. */
    public function isUnpublished(): bool
    {
        return $this === self::Planned || $this === self::Writing;
    }

    /**
     * Whether its day or its month has passed before anything of it is out.
     *
     * @param ?string $due   YYYY-MM-DD
     * @param ?string $month YYYY-MM
     * @param string  $today YYYY-MM-DD
     */
    public function isOverdue(?string $due, ?string $month, string $today): bool
    {
        return $this->isUnpublished() && (($due !== null && $due < $today) || ($month !== null && $month < substr($today, 0, 7)));
    }
}
