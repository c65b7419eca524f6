<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Plans\PlanOpportunities;
use App\Actions\Plans\PlanSchedule;
use App\Actions\Plans\ProposedPlan;
use App\Models\Comparison;
use App\Models\Study;
use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\Month;
use Illuminate\Foundation\Http\FormRequest;

/** How long a plan runs, from when, and how much can be done in a month. */
final class PlanRequest extends FormRequest
{
    private const MONTHS = 6;
    private const CAPACITY = 10.0;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        // In a question every value is a text; in JSON `true` is no number.
        $whole = $this->isJson() ? 'integer:strict' : 'integer';

        return [
            'months' => ['sometimes', $whole, 'min:1', 'max:60'],
            'capacity' => ['sometimes', 'numeric', 'min:0', 'max:9999'],
            'start' => ['sometimes', 'date_format:Y-m'],
            'by' => ['sometimes', 'in:topic,keyword'],
            ...$this->has('goal') ? GoalRequest::RULES : [],
        ];
    }

    public function months(): int
    {
        return $this->integer('months', self::MONTHS);
    }

    /** Days of work in each month. */
    public function capacity(): float
    {
        return $this->float('capacity', self::CAPACITY);
    }

    /** The coming month where none is asked for. */
    public function start(): Month
    {
        return $this->has('start') ? Month::parse($this->string('start')->value()) : Month::parse(now('UTC')->format('Y-m'))->plus(1);
    }

    /**
     * @param PlanSchedule $now whose parts stay that nothing is said of
     *
     * @return array{Month, int, float} start, months and days of work in each
     */
    public function frame(PlanSchedule $now): array
    {
        return [
            $this->has('start') ? $this->start() : $now->start,
            $this->has('months') ? $this->months() : $now->months,
            $this->has('capacity') ? $this->capacity() : $now->capacity,
        ];
    }

    /** What is asked for: the plan of a capacity, or of the smallest one that reaches a goal. */
    public function proposed(PlanOpportunities $make, Study $study, Comparison $comparison): ProposedPlan
    {
        $isByTopic = $this->string('by')->value() !== 'keyword';
        if (! $this->has('goal')) {
            return $make->execute($study, $comparison, $this->months(), $this->capacity(), $this->start(), $isByTopic);
        }
        $until = Month::parse($this->string('until')->value());

        return $make->towards(
            new Goal($this->float('goal'), $until, $this->float('odds', Goal::ODDS)),
            $study,
            $comparison,
            $this->start(),
            $isByTopic,
        );
    }
}
