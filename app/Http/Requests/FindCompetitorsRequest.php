<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Sources\Sources;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Where to look for competitors. */
final class FindCompetitorsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Sources $sources): array
    {
        return [
            'source' => ['nullable', Rule::in($sources->names())],
            'further' => ['nullable', 'boolean'],
            'keywords' => ['nullable', 'string', 'max:20000'],
        ];
    }

    public function source(): ?string
    {
        return $this->string('source')->value() ?: null;
    }

    /** @return list<string> */
    public function keywords(): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/\R/u', mb_strtolower($this->string('keywords')->value())) ?: []),
                static fn(string $line): bool => $line !== '',
            ),
        );
    }
}
