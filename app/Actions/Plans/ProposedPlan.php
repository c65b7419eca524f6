<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Support\Tabular\Table;
use GreaterReach\Core\Plan\GoalAnswer;

/**
 * A plan that is proposed, with what it says of itself.
 *
 * @phpstan-type PlannedRow array{month: string, item: string, lead: string, keywords: int, own_url: ?string, tactic: string,
 *     effort_days: float, expected_gain: float, win_chance: ?float, publish_by: ?string}
 */
final readonly class ProposedPlan
{
    private const HEADINGS = [
        'month',
        'item',
        'lead',
        'keywords',
        'own_url',
        'tactic',
        'effort_days',
        'expected_gain',
        'win_chance',
        'publish_by',
    ];
    private const NAMED = 10;

    /**
     * @param list<PlannedRow> $rows    by month, then by rank
     * @param list<string>     $leftOut items that take more than a whole month
     */
    public function __construct(public array $rows, public array $leftOut, public ?GoalAnswer $goal)
    {
    }

    public function table(): Table
    {
        return new Table(self::HEADINGS, array_map(array_values(...), $this->rows));
    }

    /** @return list<string> a line each: what was left out, and what the goal takes */
    public function notes(): array
    {
        return array_values(array_filter([$this->leftOutInWords(), $this->goalInWords()]));
    }

    /** @return array{left_out?: list<string>, goal?: array<string, float|bool>} the same as data */
    public function noted(): array
    {
        return [
            ...($this->leftOut === [] ? [] : ['left_out' => $this->leftOut]),
            ...($this->goal === null ? [] : ['goal' => [
                'capacity' => $this->goal->capacity,
                'share' => $this->goal->share,
                'visits' => $this->goal->reached,
                'reached' => $this->goal->isReached,
            ]]),
        ];
    }

    private function leftOutInWords(): ?string
    {
        $number = \count($this->leftOut);
        if ($number === 0) {
            return null;
        }
        $more = $number > self::NAMED ? ' …' : '';

        return sprintf(
            'Left out because %s more than a month: %d %s: %s%s',
            $number === 1 ? 'it takes' : 'they take',
            $number,
            $number === 1 ? 'item' : 'items',
            implode(', ', \array_slice($this->leftOut, 0, self::NAMED)),
            $more,
        );
    }

    private function goalInWords(): ?string
    {
        return $this->goal === null ? null : sprintf(
            $this->goal->isReached
                ? 'The goal takes %s days a month: %s%% of the simulations reach it. With these odds you reach %s visits a month.'
                : 'The goal is out of reach: with %s days a month, %s%% of the simulations reach it. With these odds you reach %s '
                    .'visits a month.',
            $this->goal->capacity,
            round(100 * $this->goal->share, 1),
            round($this->goal->reached, 1),
        );
    }
}
