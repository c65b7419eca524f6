<?php

declare(strict_types=1);

namespace App\Models\Casts;

use GreaterReach\Core\Findings\Finding;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/** @implements CastsAttributes<?Finding, ?Finding> */
final class FindingCast implements CastsAttributes
{
    /** @param array<string, mixed> $attributes */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?Finding
    {
        if (! \is_string($value)) {
            return null;
        }
        /**
         * @var array{code: string, worth: int|float|null, words: string, next: string, stage: string, show: ?string,
         *     numbers: array<string, int|float|null>} $kept
         */
        $kept = json_decode($value, true, 8, JSON_THROW_ON_ERROR);

        return Finding::fromArray($kept);
    }

    /** @param array<string, mixed> $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR);
    }
}
