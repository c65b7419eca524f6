<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\Misuse;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Scoring;
use GreaterReach\Core\Priority\WeighSettings;
use GreaterReach\Core\Results\Compared;
use GreaterReach\Core\Winning\ComfortDifficulty;

/** Weighs topics: what all keywords that one page can serve bring together, and what it takes. */
final readonly class TopicWeigher
{
    private Scoring $scoring;
    private HorizonRule $horizons;

    public function __construct(WeighSettings $settings, ComfortDifficulty $comfort, private Effort $effort)
    {
        $this->scoring = new Scoring($settings);
        $this->horizons = new HorizonRule($settings, $comfort);
    }

    /**
     * @param string            $primary its primary keyword, whether open or not
     * @param list<OpenKeyword> $open    in key order, at least one
     * @param ?string           $ownUrl  the page of ours that serves it
     */
    public function weigh(string $topic, string $primary, array $open, ?string $ownUrl): WeighedTopic
    {
        Misuse::unless($open !== [], 'A topic is weighed by its open keywords.');
        $lead = self::lead($primary, $open);
        [$volumes, $visits, $potentials, $gains, $expecteds] = self::figures($open);
        [$volume, $gain, $expected] = [self::sum($volumes), self::sum($gains), self::sum($expecteds)];
        $cpc = self::cpc($open);
        $intent = self::intent($open);
        $effort = $this->effort->days($lead->tactic, $lead->linksToEarn);

        return new WeighedTopic(
            $topic,
            $lead,
            \count($open),
            $ownUrl,
            $volume === null ? null : (int) $volume,
            $cpc,
            self::sum($visits),
            self::sum($potentials),
            $gain,
            $expected,
            $this->horizon($lead, $gain),
            $intent,
            $effort,
            $expected === null || $effort <= 0.0 ? null : $expected / $effort,
            $this->scoring->of($expected, $volume, $lead->difficulty, $gain, $cpc, $intent, self::fit($open)),
        );
    }

    /**
     * The primary keyword of a topic: the one that bears its name or, where people gave it a name of its own, the one with the most volume.
     *
     * @param non-empty-array<array-key, ?int> $volumes keyword → searches a month, of all its keywords, in key order
     */
    public static function primary(string $topic, array $volumes): string
    {
        if (\array_key_exists($topic, $volumes)) {
            return $topic;
        }
        $most = array_key_first($volumes);
        foreach ($volumes as $keyword => $volume) {
            if ($volume !== null && ($volumes[$most] === null || $volume > $volumes[$most])) {
                $most = $keyword;
            }
        }

        return (string) $most;
    }

    /**
     * The primary keyword when open, else the open one with the most gain.
     *
     * @param list<OpenKeyword> $open in key order
     */
    private static function lead(string $primary, array $open): OpenKeyword
    {
        $lead = $open[0];
        foreach ($open as $one) {
            if ($one->keyword === $primary) {
                return $one;
            }
            if ($one->gain !== null && ($lead->gain === null || Compared::of($one->gain) > Compared::of($lead->gain))) {
                $lead = $one;
            }
        }

        return $lead;
    }

    /** The lead's, with what the whole topic brings for the quick win. */
    private function horizon(OpenKeyword $lead, ?float $gain): ?Horizon
    {
        return $this->horizons->isQuickWin($lead->ownPosition, $lead->difficulty, $gain) ? Horizon::QuickWin : $lead->horizon;
    }

    /**
     * @param list<OpenKeyword> $open
     *
     * @return list<list<int|float|null>> volumes, visits now, potentials, gains and expected gains
     */
    private static function figures(array $open): array
    {
        $figures = [[], [], [], [], []];
        foreach ($open as $one) {
            foreach ([$one->volume, $one->visitsNow, $one->potential, $one->gain, $one->expectedGain] as $place => $value) {
                $figures[$place][] = $value;
            }
        }

        return $figures;
    }

    /**
     * @param list<int|float|null> $values
     *
     * @return int|float|null over those that are known; null when none is
     */
    private static function sum(array $values): int|float|null
    {
        $sum = null;
        foreach ($values as $value) {
            if ($value !== null) {
                $sum = ($sum ?? 0) + $value;
            }
        }

        return $sum;
    }

    /** @param list<OpenKeyword> $open */
    private static function cpc(array $open): ?float
    {
        $cost = $gains = 0.0;
        foreach ($open as $one) {
            if ($one->gain !== null && $one->cpc !== null) {
                $cost += $one->gain * $one->cpc;
                $gains += $one->gain;
            }
        }

        return $gains > 0.0 ? $cost / $gains : null;
    }

    /**
     * Of those that occur the one whose keywords gain most.
     *
     * @param list<OpenKeyword> $open
     */
    private static function intent(array $open): Intent
    {
        $gains = [];
        foreach ($open as $one) {
            $gains[$one->intent->value] = ($gains[$one->intent->value] ?? 0.0) + ($one->gain ?? 0.0);
        }
        [$best, $most] = [null, 0.0];
        foreach (Intent::cases() as $intent) {
            $gain = $gains[$intent->value] ?? null;
            if ($gain !== null && ($best === null || Compared::of($gain) > $most)) {
                [$best, $most] = [$intent, Compared::of($gain)];
            }
        }

        return $best ?? Intent::Open;
    }

    /** @param list<OpenKeyword> $open */
    private static function fit(array $open): ?float
    {
        $largest = null;
        foreach ($open as $one) {
            $largest = $one->fit === null ? $largest : max($one->fit, $largest ?? $one->fit);
        }

        return $largest;
    }
}
