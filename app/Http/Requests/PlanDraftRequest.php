<?php

declare(strict_types=1);

namespace App\Http\Requests;

use GreaterReach\Core\Keyword\KeywordKey;
use Illuminate\Foundation\Http\FormRequest;

/** Where items of a draft lie from now on, and its frame, as far as they change. */
final class PlanDraftRequest extends FormRequest
{
    private const FRAME = ['start', 'months', 'capacity'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'months' => ['sometimes', 'integer', 'min:1', 'max:60'],
            'capacity' => ['sometimes', 'numeric', 'min:0', 'max:9999'],
            'start' => ['sometimes', 'date_format:Y-m'],
            'changes' => ['sometimes', 'array', 'max:2000'],
            'changes.*.keyword' => ['required', 'string', 'max:2000'],
            'changes.*.to' => ['present', 'nullable', 'date_format:Y-m'],
        ];
    }

    /** @return array<string, mixed> */
    public function frame(): array
    {
        return array_intersect_key($this->validated(), array_flip(self::FRAME));
    }

    /** @return array<string, ?string> keyword → YYYY-MM, or null for none */
    public function months(): array
    {
        $months = [];
        foreach ($this->array('changes') as $one) {
            $months[KeywordKey::of((string) $one['keyword'])] = $one['to'] ?? null;
        }

        return $months;
    }
}
