<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

/** Explains the figures of one keyword with their own numbers. */
final readonly class Explainer
{
    public function __construct(private FigureInputs $facts)
    {
    }

    /** @return array<string, Explanation> figure → explanation */
    public function all(): array
    {
        return [
            'visits_now' => $this->visitsNow(),
            'potential' => $this->potential(),
            'gain' => $this->gain(),
            ...(new MoneyExplainer($this->facts))->all(),
            'win_chance' => $this->winChance(),
            'expected_gain' => $this->expectedGain(),
            'links_to_earn' => $this->linksToEarn(),
            'comfort' => $this->comfort(),
            'horizon' => $this->horizon(),
            'priority' => $this->priority(),
            'tactic' => new Explanation(
                'tactic',
                'The first that holds: merge pages, new or extend page, test title, refresh page, else improve page.',
                [new Input('our position', $this->facts->position)],
                [$this->facts->tactic->reason()],
            ),
        ];
    }

    private function visitsNow(): Explanation
    {
        $rule = 'Visits a month are volume × click-through rate at our position; absent means 0.';
        if ($this->facts->position === null) {
            return new Explanation('visits_now', $rule, [$this->volume()], ['We are absent, so no search ends at our site: 0.']);
        }

        return new Explanation(
            'visits_now',
            $rule,
            [$this->volume(), $this->rate($this->facts->position)],
            [$this->product($this->facts->position, $this->facts->clicks()->visitsNow)],
        );
    }

    private function potential(): Explanation
    {
        return new Explanation(
            'potential',
            'What position 1 would bring: volume × click-through rate at 1.',
            [$this->volume(), $this->rate(1)],
            [$this->product(1, $this->facts->clicks()->potential)],
        );
    }

    private function gain(): Explanation
    {
        $clicks = $this->facts->clicks();
        $target = $clicks->target;
        $steps = [
            $this->facts->position !== null && $this->facts->position <= $this->facts->wantedTarget
                ? \sprintf(
                    'We stand at %d, at or above the target of %d, so the aim is %d.',
                    $this->facts->position,
                    $this->facts->wantedTarget,
                    $target,
                )
                : \sprintf('The aim is position %d.', $target),
            $this->product($target, $this->facts->volume === null ? null : $this->facts->volume * $this->facts->curve->at($target)),
            \sprintf('Less the visits now, %s: a gain of %s.', Explanation::number($clicks->visitsNow), Explanation::number($clicks->gain)),
        ];

        return new Explanation(
            'gain',
            'Visits at the target less visits now, never below 0.',
            [$this->volume(), $this->rate($target)],
            $steps,
        );
    }

    private function winChance(): Explanation
    {
        $facts = $this->facts;
        $rule = 'The chance to reach page one: 1 − (1 − p)(1 − h), with p from the win model and h the head start of our position.';
        $headStart = $facts->winChance->headStart($facts->position);
        $inputs = [$this->difficulty(), new Input('head start', $headStart, '', 'assumed, by position '.($facts->position ?? 'absent'))];
        if ($headStart === 1.0) {
            return new Explanation('win_chance', $rule, $inputs, ['We are on page one already: 1.']);
        }
        if ($facts->difficulty === null) {
            return new Explanation('win_chance', $rule, $inputs, ['The difficulty is unknown, so the chance is too.']);
        }

        $steps = $this->chanceSteps($facts->difficulty, $headStart);

        return new Explanation('win_chance', $rule, $inputs, $steps, $this->chanceAssumptions());
    }

    /** @return list<string> */
    private function chanceSteps(float $difficulty, float $headStart): array
    {
        $facts = $this->facts;
        $p = Explanation::number($facts->winModel->chanceAt($difficulty));
        $hard = Explanation::number($difficulty);
        $rows = Explanation::number($facts->winModel->rows);
        $chance = Explanation::number($facts->winChance->of($facts->position, $difficulty));

        return [
            $facts->winModel->isAssumed
                ? \sprintf('p = 1 ÷ (1 + e^((%s − %s) ÷ 8)) = %s.', $hard, Explanation::number($facts->comfort->value), $p)
                : "Learnt from {$rows} places of all compared domains, p at a difficulty of {$hard} is {$p}.",
            \sprintf('1 − (1 − %s)(1 − %s) = %s.', $p, Explanation::number($headStart), $chance),
        ];
    }

    /** @return list<string> */
    private function chanceAssumptions(): array
    {
        $facts = $this->facts;
        $assumptions = ['The head start is assumed.'];
        if ($facts->winModel->isAssumed) {
            $assumptions[] = 'There is too little to learn a win model from, so a curve around the comfort difficulty stands in.';
        }
        if ($facts->winModel->isAssumed && $facts->comfort->isAssumed) {
            $assumptions[] = 'Fewer than ten keywords show our comfort difficulty, so it is assumed to be 30.';
        }

        return $assumptions;
    }

    private function expectedGain(): Explanation
    {
        $chance = $this->facts->winChance->of($this->facts->position, $this->facts->difficulty);
        $gain = $this->facts->clicks()->gain;
        $result = $chance === null || $gain === null ? null : $chance * $gain;

        return new Explanation(
            'expected_gain',
            'Win chance × gain.',
            [new Input('win chance', $chance), new Input('gain', $gain, 'visits a month')],
            [\sprintf('%s × %s = %s.', Explanation::number($chance), Explanation::number($gain), Explanation::number($result))],
        );
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
                ? ['The line from difficulty to links is assumed; bring in page-one results to measure it.']
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
        $comfort = $this->facts->comfort;
        $steps = [
            $comfort->isAssumed
                ? 'Comfort difficulty: 30.'
                : \sprintf(
                    'The mean over %s keywords is %s.',
                    Explanation::number($comfort->keywords),
                    Explanation::number($comfort->value),
                ),
        ];
        $assumptions = $comfort->isAssumed ? ['Fewer than ten keywords show our comfort difficulty, so it is assumed to be 30.'] : [];

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
        $rule = 'Quick win: in striking distance and the difficulty within our comfort. Short term: enough win chance. Else long term.';
        $inputs = [
            $this->difficulty(),
            new Input('comfort difficulty', $facts->comfort->value, '0–100'),
            new Input('our position', $facts->position),
        ];
        $chance = $facts->winChance->of($facts->position, $facts->difficulty);
        $step = match (true) {
            $facts->difficulty === null => 'The difficulty is unknown, so the horizon is too.',
            $facts->striking->holds($facts->position) && $facts->difficulty <= $facts->comfort->value => \sprintf(
                'Position %d lies in %d to %d and %s is within %s: quick win.',
                $facts->position,
                $facts->striking->from,
                $facts->striking->to,
                Explanation::number($facts->difficulty),
                Explanation::number($facts->comfort->value),
            ),
            $chance >= $facts->shortTermChance => \sprintf(
                'A win chance of %s reaches %s: short term.',
                Explanation::number($chance),
                Explanation::number($facts->shortTermChance),
            ),
            default => \sprintf(
                'A win chance of %s does not reach %s: long term.',
                Explanation::number($chance),
                Explanation::number($facts->shortTermChance),
            ),
        };

        return new Explanation('horizon', $rule, $inputs, [$step]);
    }

    private function priority(): Explanation
    {
        $weights = array_filter($this->facts->weights->toArray());
        $known = array_filter(
            array_intersect_key($this->facts->scores->toArray(), $weights),
            static fn(?int $score): bool => $score !== null,
        );
        $inputs = array_map(
            static fn(string $name, int $score): Input => new Input($name, $score, 'of 5, weight '.Explanation::number($weights[$name])),
            array_keys($known),
            array_values($known),
        );
        $parts = array_map(
            static fn(string $name, int $score): string => Explanation::number($weights[$name]).' × '.$score,
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

    private function volume(): Input
    {
        return new Input('volume', $this->facts->volume, 'searches a month', $this->facts->volumeSource);
    }

    private function difficulty(): Input
    {
        return new Input('difficulty', $this->facts->difficulty, '0–100', $this->facts->difficultySource);
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
                '%s × %s = %s visits a month.',
                Explanation::number($this->facts->volume),
                Explanation::number($this->facts->curve->at($position)),
                Explanation::number($result),
            );
    }
}
