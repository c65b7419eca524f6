<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\Request;

/** Where items of a draft lie from now on, and its frame, as far as they change. */
final class PlanDraftRequest extends FormRequest
{
    /** Where an item, or a page that is not planned yet, is put. */
    public const CHANGES = [
        'changes.*.item' => ['required_without:changes.*.topic', 'nullable', 'integer'],
        'changes.*.topic' => ['required_without:changes.*.item', 'nullable', 'string', 'max:2000'],
        'changes.*.to' => ['present', 'nullable', 'date_format:Y-m'],
    ];

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
            ...self::CHANGES,
        ];
    }

    /** @return array<string, mixed> */
    public function frame(): array
    {
        return array_intersect_key($this->validated(), array_flip(self::FRAME));
    }

    /** @return array<int, ?string> number of an item → YYYY-MM, or null for none */
    public static function itemsOf(Request $request): array
    {
        $months = [];
        foreach (self::changesOf($request) as $one) {
            if (isset($one['item'])) {
                $months[(int) $one['item']] = $one['to'];
            }
        }

        return $months;
    }

    /** @return array<string, ?string> topic that is not planned yet → the same */
    public static function pagesOf(Request $request): array
    {
        $months = [];
        foreach (self::changesOf($request) as $one) {
            if (! isset($one['item']) && isset($one['topic'])) {
                $months[$one['topic']] = $one['to'];
            }
        }

        return $months;
    }

    /** @return list<array{item?: ?int, topic?: ?string, to: ?string}> as a request that was found good asks for */
    private static function changesOf(Request $request): array
    {
        /** @var list<array{item?: ?int, topic?: ?string, to: ?string}> */
        return array_values($request->array('changes'));
    }
}
