<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Priority\Horizon;

/** Explains the figures of one keyword with their own numbers. */
final readonly class Explainer
{
    public function __construct(private FigureInputs $facts)
    {
    }

    /** @return array<string, Explanation> figure → explanation */
    public function all(): array
    {
        $chances = new ChanceExplainer($this->facts);

        return [
            'visits_now' => $this->visitsNow(),
            'potential' => $this->potential(),
            'gain' => $this->gain(),
            ...(new MoneyExplainer($this->facts))->all(),
            'win_chance' => $chances->winChance(),
            'expected_gain' => $chances->expectedGain(),
            'links_to_earn' => $this->linksToEarn(),
            'comfort' => $this->comfort(),
            'horizon' => $this->horizon(),
            'priority' => $this->priority(),
            'tactic' => new Explanation(
                'tactic',
                'The first that applies: new page, merge pages, extend page, refresh page, else improve page. A title test instead where a '
                    .'day of it is worth more.',
                [new Input('our position', $this->facts->position)],
                [$this->facts->work->tactic->tactic->reason()],
            ),
        ];
    }

    private function visitsNow(): Explanation
    {
        $rule = 'Visits a month are volume × click-through rate at our position; absent means 0.';
        if ($this->facts->position === null) {
            $step = 'We don’t rank, so there are no visits: 0.';

            return new Explanation('visits_now', $rule, [$this->facts->volumeInput()], [$step]);
        }

        return new Explanation(
            'visits_now',
            $rule,
            [$this->facts->volumeInput(), $this->rate($this->facts->position)],
            [$this->product($this->facts->position, $this->facts->clicks()->visitsNow)],
        );
    }

    private function potential(): Explanation
    {
        return new Explanation(
            'potential',
            'Visits at position 1: volume × click-through rate at 1.',
            [$this->facts->volumeInput(), $this->rate(1)],
            [$this->product(1, $this->facts->clicks()->potential)],
        );
    }

    private function gain(): Explanation
    {
        if ($this->facts->isTitleTest()) {
            return new Explanation(
                'gain',
                'Visits the CTR curve predicts at our position minus our measured clicks.',
                [$this->facts->volumeInput(), $this->rate((int) $this->facts->position)],
                [\sprintf(
                    'A better title could win %s visits a month at the same position.',
                    Explanation::number($this->facts->work->gain),
                )],
            );
        }
        $clicks = $this->facts->clicks();
        $target = $clicks->target;
        $steps = [
            $this->facts->position !== null && $this->facts->position <= $this->facts->wantedTarget
                ? \sprintf(
                    'We are at %d, at or above the target of %d, so the target is %d.',
                    $this->facts->position,
                    $this->facts->wantedTarget,
                    $target,
                )
                : \sprintf('The target is position %d.', $target),
            $this->product($target, $this->atTarget($target)),
            \sprintf('Less the visits now, %s: a gain of %s.', Explanation::number($clicks->visitsNow), Explanation::number($clicks->gain)),
        ];

        return new Explanation(
            'gain',
            'Visits at the target less visits now, never below 0.',
            [$this->facts->volumeInput(), $this->rate($target)],
            $steps,
        );
    }

    private function atTarget(int $target): ?float
    {
        $volume = $this->facts->volume;

        return $volume === null ? null : $volume * $this->facts->clicksLeft * $this->facts->curve->at($target);
    }

    private function linksToEarn(): Explanation
    {
        $facts = $this->facts;
        $needed = $facts->links->needed($facts->pageOneMedian, $facts->difficulty);
        $inputs = [new Input('referring domains needed', $needed), new Input('our page has', $facts->ownPageLinks, 'referring domains')];
        $how = match (true) {
            $facts->pageOneMedian !== null => \sprintf(
                'The pages on page one have %s referring domains at the median.',
                Explanation::number($facts->pageOneMedian),
            ),
            $needed === null => 'Neither page one nor the difficulty is known.',
            default => \sprintf(
                'e^(%s + %s × %s) − 1 = %s.',
                Explanation::number($facts->links->intercept),
                Explanation::number($facts->links->slope),
                Explanation::number($facts->difficulty),
                Explanation::number($needed),
            ),
        };
        $result = $facts->links->toEarn($facts->pageOneMedian, $facts->difficulty, $facts->ownPageLinks);
        $assumptions =
            $facts->pageOneMedian === null && $facts->links->isAssumed && $needed !== null
                ? ['The line from difficulty to links is assumed; import page-one results to measure it.']
                : [];

        return new Explanation(
            'links_to_earn',
            'Referring domains needed, rounded up, less those our ranking page has.',
            $inputs,
            [$how, \sprintf('To earn: %s.', Explanation::number($result))],
            $assumptions,
        );
    }

    private function comfort(): Explanation
    {
        $comfort = $this->facts->horizons->comfort;
        $steps = [
            $comfort->isAssumed
                ? 'Comfort difficulty: 30.'
                : \sprintf(
                    'The mean over %s keywords is %s.',
                    Explanation::number($comfort->keywords),
                    Explanation::number($comfort->value),
                ),
        ];
        $assumptions = $comfort->isAssumed ? ['Fewer than ten keywords show our comfort difficulty, so we assume 30.'] : [];

        return new Explanation(
            'comfort',
            'The mean difficulty of the keywords where we are on page one with enough volume, brands left out.',
            [new Input('keywords that count', $comfort->keywords)],
            $steps,
            $assumptions,
        );
    }

    private function horizon(): Explanation
    {
        $facts = $this->facts;
        $inputs = [
            $facts->difficultyInput(),
            new Input('comfort difficulty', $facts->horizons->comfort->value, '0–100'),
            new Input('our position', $facts->position),
            new Input('gain', $facts->work->gain, 'visits a month'),
        ];

        return new Explanation(
            'horizon',
            'Quick win: in striking distance, the difficulty within our comfort and the gain large enough. Short term: enough reach, the '.
                'chance to get to the target (page one where we are absent) whatever the effect of work. Else long term.',
            $inputs,
            $facts->difficulty === null ? ['The difficulty is unknown, so the horizon is too.'] : $this->horizonSteps($facts->difficulty),
        );
    }

    /** @return list<string> */
    private function horizonSteps(float $difficulty): array
    {
        $facts = $this->facts;
        $gain = $facts->work->gain;
        $reach = $facts->work->reach;
        [$set, $comfort] = [$facts->horizons->settings, $facts->horizons->comfort];
        $horizon = $facts->horizons->of($facts->position, $difficulty, $gain, $reach);
        if ($horizon === Horizon::QuickWin) {
            return [
                \sprintf(
                    'Position %d lies in %d to %d, %s is within %s and a gain of %s is at least %s: quick win.',
                    $facts->position,
                    $set->striking->from,
                    $set->striking->to,
                    Explanation::number($difficulty),
                    Explanation::number($comfort->value),
                    Explanation::number($gain),
                    Explanation::number($set->quickWinGain),
                ),
            ];
        }

        return [
            \sprintf(
                'A reach of %s %s %s: %s.',
                Explanation::number($reach),
                $horizon === Horizon::ShortTerm ? 'is at least' : 'is below',
                Explanation::number($set->shortTermChance),
                $horizon?->value,
            ),
        ];
    }

    private function priority(): Explanation
    {
        $weights = array_filter($this->facts->weights->toArray());
        $known = array_filter(
            array_intersect_key($this->facts->scores->toArray(), $weights),
            static fn(?float $score): bool => $score !== null,
        );
        $inputs = array_map(
            static fn(string $name, float $score): Input => new Input($name, $score, 'of 5, weight '.Explanation::number($weights[$name])),
            array_keys($known),
            array_values($known),
        );
        $parts = array_map(
            static fn(string $name, float $score): string => Explanation::number($weights[$name]).' × '.Explanation::number($score),
            array_keys($known),
            array_values($known),
        );
        $step =
            $known === []
                ? 'No criterion that counts is known, so the priority is unknown.'
                : \sprintf(
                    '(%s) ÷ %s = %s.',
                    implode(' + ', $parts),
                    Explanation::number((float) array_sum(array_intersect_key($weights, $known))),
                    Explanation::number($this->facts->weights->priorityOf($this->facts->scores)),
                );

        return new Explanation('priority', 'The weighted mean of the scores that are known.', $inputs, [$step]);
    }

    private function rate(int $position): Input
    {
        return new Input('click-through rate at '.$position, $this->facts->curve->at($position), '', $this->facts->curveName.' curve');
    }

    private function product(int $position, ?float $result): string
    {
        return $result === null
            ? 'The volume is unknown, so this is too.'
            : \sprintf(
                '%s%s × %s = %s visits a month.',
                Explanation::number($this->facts->volume),
                $this->facts->clicksLeft === 1.0
                    ? ''
                    : ' × '.Explanation::number($this->facts->clicksLeft).' (share left by results-page features)',
                Explanation::number($this->facts->curve->at($position)),
                Explanation::number($result),
            );
    }
}
