<?php

declare(strict_types=1);

namespace App\Http\Requests;

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

    public function start(): Month
    {
        return Month::parse($this->string('start')->value() ?: now('UTC')->format('Y-m'));
    }
}
