<?php

declare(strict_types=1);

namespace App\Http\Requests;

use GreaterReach\Core\Keyword\KeywordKey;
use Illuminate\Foundation\Http\FormRequest;

/** A mark for one or more keywords. */
final class DecisionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'keywords' => ['required', 'array', 'min:1', 'max:1000'],
            'keywords.*' => ['required', 'string', 'max:2000'],
            'mark' => ['present', 'nullable', 'in:shortlisted,set aside'],
            'reason' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return list<string> */
    public function keys(): array
    {
        return array_values(array_unique(array_map(KeywordKey::of(...), array_map(strval(...), $this->array('keywords')))));
    }
}
