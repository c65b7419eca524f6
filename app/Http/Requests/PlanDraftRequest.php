<?php

declare(strict_types=1);

namespace App\Http\Requests;

use GreaterReach\Core\Keyword\KeywordKey;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;

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
        return self::monthsOf($this);
    }

    /** @return array<string, ?string> keyword → YYYY-MM, or null for none, as a request that was found good asks for */
    public static function monthsOf(Request $request): array
    {
        $months = [];
        /** @var list<array{keyword: string, to: ?string}> $changes */
        $changes = $request->array('changes');
        foreach ($changes as $one) {
            $months[KeywordKey::of($one['keyword'])] = $one['to'];
        }

        return $months;
    }
}
