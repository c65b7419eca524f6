<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Study;
use App\Support\Sources\Sources;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What to pull, from where. */
final class PullRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Sources $sources): array
    {
        /** @var Study $study */
        $study = $this->route('study');

        return [
            'source' => ['required', Rule::in($sources->names())],
            'date' => ['nullable', 'date_format:Y-m-d'],
            'snapshots' => ['nullable', 'integer', 'min:1', 'max:60'],
            'domain' => ['bail', 'nullable', 'integer', Rule::exists('domains', 'id')->where('study_id', $study->id)],
        ];
    }

    /** @return array{source: string, date: ?string, snapshots: int, domain: ?int} */
    public function payload(): array
    {
        return [
            'source' => $this->string('source')->value(),
            'date' => $this->string('date')->value() ?: null,
            'snapshots' => $this->integer('snapshots', 1),
            'domain' => $this->integer('domain') ?: null,
        ];
    }
}
