<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Effort;
use GreaterReach\Core\Priority\HorizonRule;
use GreaterReach\Core\Priority\Scoring;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\WeighSettings;
use GreaterReach\Core\Priority\Work;
use GreaterReach\Core\Results\RoundedFigure;
use GreaterReach\Core\Winning\ComfortDifficulty;

/** Weighs topics: what all keywords that one page can serve bring together, and what it takes. */
final readonly class TopicWeigher
{
    private Scoring $scoring;
    private HorizonRule $horizons;

    public function __construct(private WeighSettings $settings, ComfortDifficulty $comfort)
    {
        $this->scoring = new Scoring($settings);
        $this->horizons = new HorizonRule($settings, $comfort);
    }

    /**
     * @param string            $primary its primary keyword, whether open or not
     * @param list<OpenKeyword> $open    in key order, at least one
     * @param ?string           $ownUrl  the own page that serves it
     */
    public function weigh(string $topic, string $primary, array $open, ?string $ownUrl): WeighedTopic
    {
        InvalidArgument::unless($open !== [], 'A topic is weighed by its open keywords.');
        $lead = self::lead($primary, $open);
        $volume = self::sum(array_map(static fn(OpenKeyword $one): ?int => $one->volume, $open));
        $work = $this->work($lead, $open);
        $days = $this->settings->effort->days($work->tactic->tactic, \count($open));
        $worth = Effort::worth($work->expectedGain, $days);
        $cpc = self::cpc($open);
        $intent = self::intent($open);

        return new WeighedTopic(
            $topic,
            $lead,
            $work,
            \count($open),
            $ownUrl,
            $volume === null ? null : (int) $volume,
            $cpc,
            self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->visitsNow, $open)),
            self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->potential, $open)),
            $this->horizons->of($lead->ownPosition, $lead->difficulty, $work->gain, $work->reach),
            $intent,
            $days,
            $worth,
            $this->scoring->of($work->expectedGain, $volume, $lead->difficulty, $work->gain, $worth, $cpc, $intent, self::fit($open)),
        );
    }

    /**
     * What to do with the page: its lead's tactic and aim with what all open keywords bring, or a title test where that is called for and
     * a day of it is worth more.
     *
     * @param list<OpenKeyword> $open
     */
    private function work(OpenKeyword $lead, array $open): Work
    {
        $expected = self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->work->expectedGain, $open));
        if ($lead->title?->isCalledFor === true && $lead->ownPosition !== null) {
            $tested = array_filter($open, static fn(OpenKeyword $one): bool => $one->title !== null);
            $gained = (float) self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->title?->expectedGain, $tested));
            if ($this->isTitleWorthMore($gained, $expected, $lead->work->tactic->tactic, \count($open))) {
                return new Work(
                    TacticLabel::of(Tactic::TestTitle),
                    $lead->ownPosition,
                    self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->title?->gain, $tested)),
                    $this->settings->titleSuccess,
                    $gained,
                    $lead->reachNow,
                );
            }
        }

        return new Work(
            $lead->work->tactic,
            $lead->work->target,
            self::sum(array_map(static fn(OpenKeyword $one): ?float => $one->work->gain, $open)),
            $lead->work->winChance,
            $expected,
            $lead->work->reach,
        );
    }

    private function isTitleWorthMore(float $gain, ?float $otherGain, Tactic $other, int $keywords): bool
    {
        $effort = $this->settings->effort;

        return TitleTest::isWorthMore($gain, $effort->days(Tactic::TestTitle, $keywords), $otherGain, $effort->days($other, $keywords));
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
            $gain = $one->work->gain;
            if ($gain !== null && ($lead->work->gain === null || RoundedFigure::of($gain) > RoundedFigure::of($lead->work->gain))) {
                $lead = $one;
            }
        }

        return $lead;
    }

    /**
     * @param array<int, int|float|null> $values
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
            if ($one->work->gain !== null && $one->cpc !== null) {
                $cost += $one->work->gain * $one->cpc;
                $gains += $one->work->gain;
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
            $gains[$one->intent->value] = ($gains[$one->intent->value] ?? 0.0) + ($one->work->gain ?? 0.0);
        }
        [$best, $most] = [null, 0.0];
        foreach (Intent::cases() as $intent) {
            $gain = $gains[$intent->value] ?? null;
            if ($gain !== null && ($best === null || RoundedFigure::of($gain) > $most)) {
                [$best, $most] = [$intent, RoundedFigure::of($gain)];
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
