<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** A finished page, as far as it teaches: what the model said of its lead when it was planned, and where the lead ranks now. */
final readonly class FinishedItem
{
    public function __construct(
        public PageKind $kind,
        /** Of the lead when it was planned, without a shift. */
        public PlaceChances $chances,
        /** Of the lead when it was planned; null when absent. */
        public ?int $position,
        public int $target,
        /** Share of pages that move at all, as it was assumed then. */
        public float $movingShare,
        /** Of the lead in the newest snapshot; null when absent. */
        public ?int $now,
    ) {
    }

    /** The chance of what came of it, by a shift: the place class of a new page, whether an existing one reached its target. */
    public function chanceOfResult(float $shift): float
    {
        $places = PlacesAfterWork::of($this->kind, $this->chances, $this->position, $this->movingShare, $shift);
        if ($this->kind === PageKind::Existing) {
            $reached = $places->upTo($this->target);

            return $this->now !== null && $this->now <= $this->target ? $reached : 1 - $reached;
        }
        $before = 0.0;
        foreach (PlaceClass::BOUNDS as $bound) {
            if ($this->position !== null && $bound >= $this->position) {
                break;
            }
            $upTo = $places->upTo($bound);
            if ($this->now !== null && $this->now <= $bound) {
                return $upTo - $before;
            }
            $before = $upTo;
        }

        return 1 - $before;
    }
}
