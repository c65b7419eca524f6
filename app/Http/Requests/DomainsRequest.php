<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Sources\Sources;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Domains pasted, one on each line. */
final class DomainsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Sources $sources): array
    {
        return ['domains' => ['required', 'string', 'max:100000'], 'source' => ['nullable', Rule::in($sources->names())]];
    }

    /** @return list<string> */
    public function lines(): array
    {
        return preg_split('/\R/u', $this->string('domains')->value()) ?: [];
    }

    public function source(): ?string
    {
        return $this->string('source')->value() ?: null;
    }
}
