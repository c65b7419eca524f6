<?php

declare(strict_types=1);

namespace App\Models\Casts;

use App\Models\ComparisonSummary;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A comparison's summary as JSON.
 *
 * @implements CastsAttributes<ComparisonSummary, ComparisonSummary>
 */
final class SummaryCast implements CastsAttributes
{
    public function get(Model $model, string $key, mixed $value, array $attributes): ComparisonSummary
    {
        /** @var array<string, mixed> $kept */
        $kept = json_decode(\is_string($value) ? $value : '{}', true, 16, JSON_THROW_ON_ERROR);

        return ComparisonSummary::fromArray($kept);
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode(($value ?? ComparisonSummary::none())->toArray(), JSON_THROW_ON_ERROR);
    }
}
