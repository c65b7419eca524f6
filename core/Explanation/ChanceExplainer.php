<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PlaceChances;

/** Explains the chance of one keyword factor by factor, each with what the chance would be without it; and what can be expected of it. */
final readonly class ChanceExplainer
{
    public function __construct(private FigureInputs $facts)
    {
    }

    public function winChance(): Explanation
    {
        $facts = $this->facts;
        $target = $facts->clicks()->target;
        $rule = "The chance to reach position {$target} or better: effect × F({$target}) ÷ F(our position), with F(t) the chance to ".
            'stand at t or better, learnt from who stands where.';
        if ($facts->position === 1) {
            return new Explanation('win_chance', $rule, [], ['We are first already: 1.']);
        }
        if ($facts->difficulty === null) {
            return new Explanation('win_chance', $rule, [$facts->difficultyInput()], ['The difficulty is unknown, so the chance is too.']);
        }
        $places = $this->places($facts->difficulty, $facts->ground);

        return new Explanation(
            'win_chance',
            $rule,
            $this->inputs($facts->difficulty, $places, $target),
            $this->steps($facts->difficulty, $places, $target),
            $this->assumptions(),
        );
    }

    public function expectedGain(): Explanation
    {
        $facts = $this->facts;
        $prospect = $facts->prospect();
        $inputs = [
            $facts->volumeInput(),
            new Input('effect', $facts->effect->share, 'of the pages worked on', $this->effectSource()),
            new Input('win chance', $prospect->winChance),
            new Input('gain', $facts->clicks()->gain, 'visits a month'),
        ];
        $expected = Explanation::number($prospect->expectedGain);
        $steps = [\sprintf('Over all places from 1 to %s: %s visits a month.', $facts->position ?? 100, $expected)];
        if ($prospect->winChance !== null && $facts->clicks()->gain !== null && $facts->position !== 1) {
            $steps[] = \sprintf(
                'Places better than the target count too, and places short of it bring something, so it is not chance × gain (%s).',
                Explanation::number($prospect->winChance * $facts->clicks()->gain),
            );
        }

        return new Explanation(
            'expected_gain',
            'Effect × volume × Σ over the places t we may come to: P(t | no worse than now) × (click-through rate at t − at our position).',
            $inputs,
            $steps,
            $this->assumptions(),
        );
    }

    /** @return list<Input> */
    private function inputs(float $difficulty, PlaceChances $places, int $target): array
    {
        $facts = $this->facts;
        $ground = $facts->ground;
        $nowSource = $facts->position === null ? 'absent' : "position {$facts->position}";

        return [
            $facts->difficultyInput(),
            new Input('ground', $ground->share(), 'of the leading page', $this->groundSource()),
            new Input("F({$target})", $places->upTo($target), '', $facts->positions->fit->isAssumed ? 'assumed' : 'position model'),
            new Input('F(our position)', $places->noWorseThan($facts->position), '', $nowSource),
            new Input('effect', $facts->effect->share, 'of the pages worked on', $this->effectSource()),
        ];
    }

    /** @return list<string> */
    private function steps(float $difficulty, PlaceChances $places, int $target): array
    {
        $facts = $this->facts;
        $reach = $places->reach($target, $facts->position);
        $chance = $facts->prospect()->winChance;

        return array_values(array_filter([
            $this->studyStep($difficulty, $places, $target),
            $this->groundStep($difficulty, $target),
            $facts->position === null
                ? null
                : \sprintf(
                    'From where we are: we stand at %d and give nothing up, so %s ÷ %s = %s; without that it would be %s.',
                    $facts->position,
                    Explanation::percent($places->upTo($target)),
                    Explanation::percent($places->noWorseThan($facts->position)),
                    Explanation::percent($reach),
                    Explanation::percent($facts->effect->share * $places->upTo($target)),
                ),
            \sprintf(
                'From the effect: %s of the pages that are worked on move at all (%s), so %s × %s = %s; if all moved it would be %s.',
                Explanation::percent($facts->effect->share),
                $this->effectSource(),
                Explanation::percent($facts->effect->share),
                Explanation::percent($reach),
                Explanation::percent($chance),
                Explanation::percent($reach),
            ),
        ]));
    }

    private function studyStep(float $difficulty, PlaceChances $places, int $target): string
    {
        $model = $this->facts->positions;
        if ($model->fit->isAssumed) {
            return \sprintf(
                'Assumed: at a difficulty of %s against a comfort of %s, %s stand at %d or better.',
                Explanation::number($difficulty),
                Explanation::number($this->facts->horizons->comfort->value),
                Explanation::percent($places->upTo($target)),
                $target,
            );
        }
        $base = $model->shareWithin($target);

        return \sprintf(
            'From the study: of %s places of all compared domains, one like ours at a difficulty of %s stands at %d or better with %s%s.',
            Explanation::number($model->fit->rows),
            Explanation::number($difficulty),
            $target,
            Explanation::percent($places->upTo($target)),
            $base === null ? '' : '; whatever the keyword, '.Explanation::percent($base).' do',
        );
    }

    private function groundStep(float $difficulty, int $target): ?string
    {
        $facts = $this->facts;
        if (! isset($facts->positions->fit->betas['ground'])) {
            return null;
        }
        $without = $facts->effect->share * $this->places($difficulty, Ground::none())->reach($target, $facts->position);
        $held = $facts->ground->of === null
            ? 'no page of a competitor leads here, so nothing is known of it'
            : \sprintf(
                'we rank for %s of the %s other keywords of the page that leads%s',
                Explanation::number($facts->ground->held),
                Explanation::number($facts->ground->of),
                $facts->leadingPage === null ? '' : ", {$facts->leadingPage}",
            );

        return \sprintf('From the ground: %s; without that it would be %s.', $held, Explanation::percent($without));
    }

    private function places(float $difficulty, Ground $ground): PlaceChances
    {
        return $this->facts->positions->chances($difficulty, $ground);
    }

    private function groundSource(): string
    {
        $ground = $this->facts->ground;

        return $ground->of === null ? 'no page leads' : "{$ground->held} of {$ground->of} other keywords".
            ($this->facts->leadingPage === null ? '' : " of {$this->facts->leadingPage}");
    }

    private function effectSource(): string
    {
        $effect = $this->facts->effect;

        return $effect->isLearnt ? "learnt from {$effect->items} finished items" : 'assumed';
    }

    /** @return list<string> */
    private function assumptions(): array
    {
        $facts = $this->facts;
        $fit = $facts->positions->fit;
        $assumptions = [];
        if (! $facts->effect->isLearnt) {
            $assumptions[] = 'The effect is assumed until five finished items can teach it.';
        }
        if ($fit->isAssumed) {
            $assumptions[] = 'There are too few rows to learn from, so a line around the comfort difficulty stands in.';
        }
        if ($fit->isAssumed && $facts->horizons->comfort->isAssumed) {
            $assumptions[] = 'Fewer than ten keywords show our comfort difficulty, so it is assumed to be 30.';
        }
        foreach ($fit->odd as $feature) {
            $assumptions[] = "By these data {$feature->oddity()}, which is odd; {$feature->value} is left out.";
        }

        return $assumptions;
    }
}
