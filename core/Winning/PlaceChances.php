<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** Where a domain could stand for one keyword: the chance to stand at each bound or better. Within a class all places count alike. */
final readonly class PlaceChances
{
    /** @param list<float> $upTo for each bound of the classes, never falling */
    public function __construct(private array $upTo)
    {
    }

    /** F(t): the chance of place t or better; 0 for t = 0. */
    public function upTo(int $place): float
    {
        $before = 0;
        $chance = 0.0;
        foreach ($this->upTo as $class => $upTo) {
            $bound = PlaceClass::BOUNDS[$class];
            if ($place < $bound) {
                return $chance + max(0, $place - $before) / max(1, $bound - $before) * ($upTo - $chance);
            }
            $before = $bound;
            $chance = $upTo;
        }

        return $chance;
    }

    /** F at the place where we stand, 1 when absent: what we have already is not given up. */
    public function noWorseThan(?int $position): float
    {
        return $position === null ? 1.0 : $this->upTo($position);
    }

    /** The chance to reach a place or better, given that we stand no worse than now; 0 where that is impossible by the model. */
    public function reach(int $place, ?int $position): float
    {
        $now = $this->noWorseThan($position);

        return $now > 0.0 ? $this->upTo($place) / $now : 0.0;
    }

    /** @return list<float> the chance of each bound of the classes or better */
    public function atBounds(): array
    {
        return $this->upTo;
    }

    /** @return list<float> the chance of every class, absent last, wherever we stand now */
    public function byClass(): array
    {
        $chances = [];
        $before = 0.0;
        foreach ($this->upTo as $chance) {
            $chances[] = $chance - $before;
            $before = $chance;
        }

        return [...$chances, 1 - $before];
    }
}
