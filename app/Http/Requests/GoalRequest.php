<?php

declare(strict_types=1);

namespace App\Http\Requests;

use GreaterReach\Core\Plan\Goal;
use GreaterReach\Core\Plan\Month;
use Illuminate\Foundation\Http\FormRequest;

/** So many more visits a month, by when, and with what odds. */
final class GoalRequest extends FormRequest
{
    /** What a goal is, also where one is asked for beside other things. */
    public const RULES = [
        'goal' => ['required', 'numeric', 'gt:0', 'max:1000000000'],
        'until' => ['required', 'date_format:Y-m'],
        'odds' => ['sometimes', 'numeric', 'gt:0', 'lt:1'],
    ];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [...self::RULES, ...$this->isMethod('post') ? ['name' => ['required', 'string', 'max:60']] : []];
    }

    public function goal(): Goal
    {
        return new Goal($this->float('goal'), Month::parse($this->string('until')->value()), $this->float('odds', Goal::ODDS));
    }
}
