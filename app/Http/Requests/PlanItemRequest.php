<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Plans\ChosenPages;
use App\Support\Texts;
use GreaterReach\Core\Plan\ItemStatus;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Changes to one item of the roadmap, with the version that the person saw. */
final class PlanItemRequest extends FormRequest
{
    private const BRIEF = ['angle', 'call_to_action', 'notes', ChosenPages::FIELD];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:1'],
            'month' => ['sometimes', 'nullable', 'date_format:Y-m'],
            'status' => ['sometimes', Rule::enum(ItemStatus::class)],
            'done_month' => ['sometimes', 'date_format:Y-m'],
            'effort_days' => ['sometimes', 'numeric', 'between:0,999'],
            'owner' => ['sometimes', 'nullable', 'string', 'max:100'],
            'due' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
            'is_pinned' => ['sometimes', 'boolean'],
            'brief' => ['sometimes', 'array'],
            ...array_fill_keys(array_map(static fn(string $field): string => 'brief.'.$field, self::BRIEF), [
                'nullable',
                'string',
                'max:5000',
            ]),
        ];
    }

    /** @return array<string, mixed> */
    public function changes(): array
    {
        /** @var array{brief?: array<mixed>, owner?: ?string, ...} $changes */
        $changes = array_diff_key($this->validated(), ['version' => true]);
        if (isset($changes['brief'])) {
            $changes['brief'] = Texts::of(array_intersect_key((array) $changes['brief'], array_flip(self::BRIEF)));
        }
        if (\array_key_exists('owner', $changes)) {
            $changes['owner'] = (string) $changes['owner'];
        }

        return $changes;
    }
}
