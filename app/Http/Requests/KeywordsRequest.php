<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Sources\Sources;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Keywords pasted or chosen, one on each line, with where they come from. */
final class KeywordsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Sources $sources): array
    {
        return [
            'keywords' => ['required', 'string', 'max:2000000'],
            'origin' => ['nullable', 'string', 'max:200'],
            'source' => ['nullable', Rule::in($sources->names())],
        ];
    }

    /** @return list<string> */
    public function lines(): array
    {
        return preg_split('/\R/u', $this->string('keywords')->value()) ?: [];
    }

    public function origin(): string
    {
        return $this->string('origin')->trim()->value() ?: 'pasted list';
    }

    public function source(): ?string
    {
        return $this->string('source')->value() ?: null;
    }
}
