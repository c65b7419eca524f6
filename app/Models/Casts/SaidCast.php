<?php

declare(strict_types=1);

namespace App\Models\Casts;

use GreaterReach\Core\Plan\Said;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * What was said of an item, as JSON; null where nothing was.
 *
 * @implements CastsAttributes<?Said, ?Said>
 *
 * @phpstan-import-type KeptSaid from Said
 */
final class SaidCast implements CastsAttributes
{
    private const DEPTH = 8;

    public function get(Model $model, string $key, mixed $value, array $attributes): ?Said
    {
        if (! \is_string($value)) {
            return null;
        }
        /** @var KeptSaid $kept */
        $kept = json_decode($value, true, self::DEPTH, JSON_THROW_ON_ERROR);

        return Said::fromArray($kept);
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value->toArray(), JSON_THROW_ON_ERROR);
    }
}
