<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlacesAfterWork;
use GreaterReach\Core\Winning\Shifts;

/**
 * What a page gains by one number u on (0, 1]: it gives each of its keywords its place, the smallest t with G(t) ≥ u, since one page
 * carries them all. The smaller u, the better the places.
 *
 * For keywords of an existing page G(t) ≥ u is s · F(t) ÷ F(p0) ≥ σ(logit u − δ), so that one list of steps serves every shift δ.
 */
final readonly class PlaceGains
{
    /**
     * @param list<float>                                         $ends  up to which σ(logit u − δ) each step goes, rising
     * @param list<float>                                         $gains visits a month on each step; beyond the last nothing is gained
     * @param list<array{WorkedKeyword, list<float>}>             $fresh keywords of a new page, with what each place gains
     * @param ?array{float, float}                                $title visits a month that a title test wins, and its chance
     */
    private function __construct(private array $ends, private array $gains, private array $fresh, private ?array $title)
    {
    }

    /** @param list<WorkedKeyword> $keywords */
    public static function of(array $keywords, CtrCurve $curve, float $movingShare): self
    {
        $ends = $falls = $fresh = [];
        $gain = 0.0;
        foreach ($keywords as $keyword) {
            $places = self::places($keyword, $curve);
            if ($places === []) {
                continue;
            }
            if ($keyword->kind === PageKind::New) {
                $fresh[] = [$keyword, $places];
                continue;
            }
            $after = PlacesAfterWork::of($keyword->kind, $keyword->chances, $keyword->position, $movingShare, 0.0);
            $gain += $places[0];
            foreach ($places as $place => $here) {
                $ends[] = $after->towards($place + 1);
                $falls[] = $here - ($places[$place + 1] ?? 0.0);
            }
        }
        array_multisort($ends, SORT_ASC, SORT_NUMERIC, $falls, SORT_DESC, SORT_NUMERIC);
        $gains = [];
        foreach ($falls as $fall) {
            $gains[] = max(0.0, $gain);
            $gain -= $fall;
        }

        return new self($ends, $gains, $fresh, null);
    }

    /**
     * A title test: all or nothing.
     *
     * @param float $gain    visits a month
     * @param float $success 0…1
     */
    public static function title(float $gain, float $success): self
    {
        return new self([], [], [], [$gain, $success]);
    }

    /** @param float $draw above 0, up to 1 */
    public function at(float $draw, Shifts $shifts): float
    {
        if ($this->title !== null) {
            return $draw <= $this->title[1] ? $this->title[0] : 0.0;
        }
        // σ(logit u − δ), without logarithms.
        $gain = $this->step($draw / ($draw + (1 - $draw) * exp($shifts->existing)));
        foreach ($this->fresh as [$keyword, $places]) {
            $after = PlacesAfterWork::of($keyword->kind, $keyword->chances, $keyword->position, 1.0, $shifts->new);
            $gain += self::placeOf($after, $draw, $places);
        }

        return $gain;
    }

    /** Over all draws there could be, by one pair of shifts: Σ (G(t) − G(t − 1)) · gain at t. */
    public function mean(Shifts $shifts): float
    {
        if ($this->title !== null) {
            return $this->title[0] * $this->title[1];
        }
        $sum = $before = 0.0;
        $odds = exp($shifts->existing);
        foreach ($this->ends as $step => $end) {
            $upTo = $end * $odds / (1 - $end + $end * $odds);
            $sum += ($upTo - $before) * $this->gains[$step];
            $before = $upTo;
        }
        foreach ($this->fresh as [$keyword, $places]) {
            $after = PlacesAfterWork::of($keyword->kind, $keyword->chances, $keyword->position, 1.0, $shifts->new);
            foreach ($places as $place => $gain) {
                $sum += ($after->upTo($place + 1) - $after->upTo($place)) * $gain;
            }
        }

        return $sum;
    }

    /** What tells it from any other, as bytes. */
    public function fingerprint(): string
    {
        $parts = [pack('E*', ...$this->ends, ...$this->gains, ...$this->title ?? [])];
        foreach ($this->fresh as [$keyword, $places]) {
            $parts[] = pack('lE*', $keyword->position ?? 0, ...$keyword->chances->atBounds(), ...$places);
        }

        return hash('sha256', implode('|', $parts), true);
    }

    /** @return list<float> what each place better than ours gains, visits a month, the first place first */
    private static function places(WorkedKeyword $keyword, CtrCurve $curve): array
    {
        if ($keyword->searches <= 0.0 || $keyword->position === 1) {
            return [];
        }
        $now = $keyword->position === null ? 0.0 : $curve->at($keyword->position);

        return array_map(
            static fn(float $rate): float => $keyword->searches * ($rate - $now),
            \array_slice($curve->rates(), 0, $keyword->position === null ? null : $keyword->position - 1),
        );
    }

    private function step(float $draw): float
    {
        $low = 0;
        $high = \count($this->ends);
        while ($low < $high) {
            $middle = $low + $high >> 1;
            if ($this->ends[$middle] < $draw) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $this->gains[$low] ?? 0.0;
    }

    /** @param list<float> $places what each place gains */
    private static function placeOf(PlacesAfterWork $after, float $draw, array $places): float
    {
        $low = 1;
        $high = \count($places) + 1;
        while ($low < $high) {
            $middle = $low + $high >> 1;
            if ($after->upTo($middle) < $draw) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $places[$low - 1] ?? 0.0;
    }
}
