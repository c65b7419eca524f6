<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Results\Places;

/**
 * Where one keyword may come to when its page is worked on: G(t), the chance of place t or better. An existing page keeps its place at
 * worst; a new page cannot do worse than another own page that ranks already.
 */
final readonly class PlacesAfterWork
{
    /**
     * @param PlaceChances $chances  of pages like it, without the effect of work
     * @param float        $now      F at our position, 1 where we are absent
     * @param float        $odds     by how much the effect multiplies the odds
     */
    private function __construct(
        private PageKind $kind,
        private PlaceChances $chances,
        private ?int $position,
        private float $now,
        private float $movingShare,
        private float $odds,
    ) {
    }

    /**
     * @param ?int  $position    ours now; null when absent
     * @param float $movingShare share of existing pages that move at all
     * @param float $shift       of the logarithm of the odds
     */
    public static function of(PageKind $kind, PlaceChances $chances, ?int $position, float $movingShare, float $shift): self
    {
        return new self($kind, $chances, $position, $chances->noWorseThan($position), $movingShare, exp($shift));
    }

    /** G(t), t from 0 on. */
    public function upTo(int $place): float
    {
        if ($this->position !== null && $place >= $this->position) {
            return 1.0;
        }

        return $this->kind === PageKind::New ? $this->newUpTo($place) : $this->shifted($this->towards($place));
    }

    /** The chance of a place before the effect of work, which draws are held against: s · F(t) ÷ F(p0) for an existing page. */
    public function towards(int $place): float
    {
        return $this->now > 0.0 ? $this->movingShare * $this->chances->upTo($place) / $this->now : 0.0;
    }

    /**
     * Σ (G(t) − G(t − 1)) · (rate(t) − rate(p0)) over the places better than ours. Written out, since it is asked for every keyword.
     *
     * @param list<float> $rates place → its click-through rate, from place 0 on
     * @param list<float> $sums  place → sum of the rates up to it
     */
    public function ratesWon(array $rates, array $sums): float
    {
        $now = $this->position === null ? 0.0 : $rates[$this->position];
        $last = $this->last();
        $factor = $this->now > 0.0 ? $this->movingShare / $this->now : 0.0;
        [$won, $chance, $after, $before] = [0.0, 0.0, 0.0, 0];
        foreach ($this->chances->atBounds() as $class => $upTo) {
            $bound = PlaceClass::BOUNDS[$class];
            $end = min($bound, $last);
            if ($this->kind === PageKind::New) {
                $next = $this->shifted($upTo);
                $won += ($next - $after) / max(1, $bound - $before) * ($sums[$end] - $sums[$before] - ($end - $before) * $now);
                $after = $next;
            } else {
                $step = ($upTo - $chance) / max(1, $bound - $before);
                for ($place = $before + 1; $place <= $end; ++$place) {
                    $towards = $factor * ($chance + ($place - $before) * $step);
                    $next = $towards * $this->odds / (1 - $towards + $towards * $this->odds);
                    $won += ($next - $after) * ($rates[$place] - $now);
                    $after = $next;
                }
            }
            if ($bound >= $last) {
                break;
            }
            $before = $bound;
            $chance = $upTo;
        }

        return max(0.0, $won);
    }

    /** @return int the last place to which it can come: the one before ours, or the worst there is */
    public function last(): int
    {
        return $this->position === null ? Places::WORST : $this->position - 1;
    }

    /** σ(logit p + δ), without logarithms. */
    private function shifted(float $chance): float
    {
        return $chance * $this->odds / (1 - $chance + $chance * $this->odds);
    }

    /** Within a class all places count alike. */
    private function newUpTo(int $place): float
    {
        $before = 0;
        $chance = 0.0;
        foreach (PlaceClass::BOUNDS as $class => $bound) {
            $upTo = $this->shifted($this->chances->upTo($bound));
            if ($place < $bound) {
                return $chance + ($place - $before) / max(1, $bound - $before) * ($upTo - $chance);
            }
            $before = $bound;
            $chance = $upTo;
        }

        return $chance;
    }
}
