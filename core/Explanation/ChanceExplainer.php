<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

use GreaterReach\Core\Winning\PageKind;
use GreaterReach\Core\Winning\PlaceChances;

/** Explains the chance of one keyword and the visits that work on it can bring, in sentences that a colleague can check. */
final readonly class ChanceExplainer
{
    public function __construct(private FigureInputs $facts)
    {
    }

    public function winChance(): Explanation
    {
        $facts = $this->facts;
        if ($facts->isTitleTest()) {
            return $this->titleChance();
        }
        $target = $facts->work->target;
        $rule = $facts->kind === PageKind::New
            ? "Chance that a new page reaches position {$target} or better: positions of pages like it, "
                .'adjusted by the results of new pages.'
            : "Chance that work on our page takes it to position {$target} or better: positions of pages like it, times the share "
                .'of pages that move, adjusted by the results of our work.';
        if ($facts->position === 1) {
            return new Explanation('win_chance', $rule, [], ['We rank first already: 100%.']);
        }
        if ($facts->difficulty === null) {
            return new Explanation('win_chance', $rule, [$facts->difficultyInput()], ['The difficulty is unknown, so the chance is too.']);
        }
        $chances = $facts->positions->chances($facts->difficulty, $facts->ground, $facts->volume);

        return new Explanation(
            'win_chance',
            $rule,
            $this->inputs($chances, $target),
            $this->steps($facts->difficulty, $chances, $target),
            $this->assumptions(),
        );
    }

    public function expectedGain(): Explanation
    {
        $facts = $this->facts;
        if ($facts->isTitleTest()) {
            return new Explanation(
                'expected_gain',
                'Visits that a better title could win at the same position, times the share of title tests that succeed.',
                [$facts->volumeInput(), new Input('gain', $facts->work->gain, 'visits a month'), $this->successInput()],
                [\sprintf(
                    '%s × %s = %s visits a month.',
                    Explanation::number($facts->work->gain),
                    Explanation::percent($facts->titleSuccess),
                    Explanation::number($facts->work->expectedGain),
                )],
                ['The success of title tests is assumed.'],
            );
        }

        return new Explanation(
            'expected_gain',
            'Volume × Σ over the positions t we may reach: the chance of t × (click-through rate at t − at our position).',
            [
                $facts->volumeInput(),
                new Input('win chance', $facts->work->winChance),
                new Input('gain', $facts->work->gain, 'visits a month'),
            ],
            [\sprintf(
                'Over all positions from 1 to %s: %s visits a month. Positions better and worse than the target count too.',
                $facts->position === null ? 100 : $facts->position - 1,
                Explanation::number($facts->work->expectedGain),
            )],
            $this->assumptions(),
        );
    }

    private function titleChance(): Explanation
    {
        $measured = $this->facts->measured;

        return new Explanation(
            'win_chance',
            'A title test wins clicks at the same position: half of better titles close the gap to the CTR curve.',
            [$this->successInput()],
            $measured === null ? [] : [\sprintf(
                'We got %s clicks from %s impressions at position %d, fewer than the curve predicts.',
                Explanation::number($measured->clicks),
                Explanation::number($measured->impressions),
                $this->facts->position,
            )],
            ['The success of title tests is assumed.'],
        );
    }

    private function successInput(): Input
    {
        return new Input('success', $this->facts->titleSuccess, 'of title tests', 'assumed');
    }

    /** @return list<Input> */
    private function inputs(PlaceChances $chances, int $target): array
    {
        $facts = $this->facts;
        $effect = $facts->effects->of($facts->kind);
        $source = $facts->positions->fit->isAssumed ? 'assumed' : 'position model';
        $inputs = [
            $facts->difficultyInput(),
            $facts->volumeInput(),
            new Input('ground', $facts->ground->share(), '', "{$facts->ground->held} of {$facts->ground->of} keywords in related topics"),
            new Input("F({$target})", $chances->upTo($target), '', $source),
        ];
        if ($facts->kind === PageKind::Existing) {
            $now = $facts->position === null ? 'absent' : "position {$facts->position}";
            $inputs[] = new Input('F(our position)', $chances->noWorseThan($facts->position), '', $now);
            $inputs[] = new Input('pages that move', $facts->movingShare, 'of existing pages', 'assumed');
        }
        $inputs[] = new Input('effect', $effect->mean(), 'shift of the log odds', "{$effect->items} finished items");

        return $inputs;
    }

    /** @return list<string> */
    private function steps(float $difficulty, PlaceChances $chances, int $target): array
    {
        $facts = $this->facts;

        return [
            $this->studyStep($difficulty, $chances, $target),
            $this->groundStep(),
            ...$facts->kind === PageKind::New ? $this->newSteps($target, $chances) : $this->existingSteps($target, $chances),
        ];
    }

    private function studyStep(float $difficulty, PlaceChances $chances, int $target): string
    {
        $fit = $this->facts->positions->fit;
        $share = Explanation::percent($chances->upTo($target));

        return $fit->isAssumed
            ? \sprintf(
                'Assumed: at difficulty %s against our comfort difficulty of %s, %s of pages reach the top %d.',
                Explanation::number($difficulty),
                Explanation::number($this->facts->horizons->comfort->value),
                $share,
                $target,
            )
            : \sprintf(
                'Pages like ours in this study: %s reach the top %d at difficulty %s (fitted to %s positions).',
                $share,
                $target,
                Explanation::number($difficulty),
                Explanation::number($fit->rows),
            );
    }

    private function groundStep(): string
    {
        $ground = $this->facts->ground;

        return $ground->of === 0
            ? 'No other topic in this study shares a word with this one, so our ground counts as 25%.'
            : \sprintf(
                'We hold %s of %s keywords in related topics%s.',
                Explanation::number($ground->held),
                Explanation::number($ground->of),
                $this->facts->stems === [] ? '' : ' (related by '.implode(', ', $this->facts->stems).')',
            );
    }

    /** @return list<string> */
    private function newSteps(int $target, PlaceChances $chances): array
    {
        $effects = $this->facts->effects;
        $market = $effects->marketShift;
        $steps = [
            $effects->marketPages === 0
                ? 'We can’t follow any new page in this market yet, so new pages count like pages in general.'
                : \sprintf(
                    '%s new pages in this market did %s than pages do on average.',
                    Explanation::number($effects->marketPages),
                    self::comparedWords($market),
                ),
        ];
        $chance = Explanation::percent($this->facts->work->winChance);
        $steps[] = $effects->new->items === 0
            ? "For our new pages that makes {$chance}."
            : \sprintf(
                'Our own %s new pages did %s: %s.',
                Explanation::number($effects->new->items),
                $effects->new->mean() >= $market ? 'better' : 'worse',
                $chance,
            );

        return $steps;
    }

    /** @return list<string> */
    private function existingSteps(int $target, PlaceChances $chances): array
    {
        $facts = $this->facts;
        $after = $facts->outlook()->after($facts->kind, $chances, $facts->position);
        $steps = [];
        if ($facts->position !== null) {
            $steps[] = \sprintf(
                'We already rank at %d, and at worst a page keeps its position: %s ÷ %s = %s.',
                $facts->position,
                Explanation::percent($chances->upTo($target)),
                Explanation::percent($chances->noWorseThan($facts->position)),
                Explanation::percent($chances->reach($target, $facts->position)),
            );
        }
        $steps[] = \sprintf(
            'About %s of pages move when they are worked on: %s.',
            Explanation::percent($facts->movingShare),
            Explanation::percent($after->towards($target)),
        );
        $items = $facts->effects->existing->items;
        $steps[] = $items === 0
            ? 'No finished work to learn from yet.'
            : \sprintf(
                'Our %s finished existing pages did %s: %s.',
                Explanation::number($items),
                $facts->effects->existing->mean() >= 0 ? 'better' : 'worse',
                Explanation::percent($facts->work->winChance),
            );

        return $steps;
    }

    private static function comparedWords(float $shift): string
    {
        return match (true) {
            $shift < -1 => 'much worse',
            $shift < -.4 => 'worse',
            $shift < -.1 => 'a little worse',
            $shift <= .1 => 'no worse',
            $shift <= .4 => 'a little better',
            default => 'better',
        };
    }

    /** @return list<string> */
    private function assumptions(): array
    {
        $facts = $this->facts;
        $fit = $facts->positions->fit;
        $assumptions = [];
        if ($facts->kind === PageKind::Existing) {
            $assumptions[] = 'The share of pages that move is assumed.';
        }
        if ($fit->isAssumed) {
            $assumptions[] = 'There are too few positions to fit a model, so we assume a line around the comfort difficulty.';
        }
        if ($fit->isAssumed && $facts->horizons->comfort->isAssumed) {
            $assumptions[] = 'Fewer than ten keywords show our comfort difficulty, so we assume 30.';
        }
        foreach ($fit->odd as $feature) {
            $assumptions[] = "In this study {$feature->oddity()}, so {$feature->value} is left out of the model.";
        }

        return $assumptions;
    }
}
