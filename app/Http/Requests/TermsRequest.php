<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Sources\Sources;
use GreaterReach\Core\Terms\TermOptions;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A text or the address of a page, and which phrases of it count. */
final class TermsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Sources $sources): array
    {
        $count = ['nullable', 'integer', 'min:1', 'max:500'];

        return [
            'text' => ['required_without:url', 'nullable', 'string', 'max:1000000'],
            'url' => ['nullable', 'string', 'max:2000'],
            'source' => ['required_with:url', 'nullable', Rule::in($sources->names())],
            'from_words' => $count, 'to_words' => $count, 'letters' => $count, 'occurrences' => $count, 'top' => $count,
        ];
    }

    public function options(): TermOptions
    {
        return TermOptions::of(
            $this->integer('from_words', 1),
            $this->integer('to_words', 4),
            $this->integer('letters', 3),
            $this->integer('occurrences', 2),
            $this->integer('top', 50),
        );
    }
}
