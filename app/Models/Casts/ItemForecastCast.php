<?php

declare(strict_types=1);

namespace App\Models\Casts;

use GreaterReach\Core\Plan\ItemForecast;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * What was said of an item, as JSON; null where nothing was.
 *
 * @implements CastsAttributes<?ItemForecast, ?ItemForecast>
 *
 * @phpstan-import-type KeptForecast from ItemForecast
 */
final class ItemForecastCast implements CastsAttributes
{
    private const DEPTH = 8;

    /** Else the model would spell it out again whenever any of its attributes is read. */
    public bool $withoutObjectCaching = true;

    /** @var ?\WeakMap<Model, array{string, ItemForecast}> model → text and what it was read as */
    private static ?\WeakMap $read = null;

    public function get(Model $model, string $key, mixed $value, array $attributes): ?ItemForecast
    {
        if (! \is_string($value)) {
            return null;
        }
        self::$read ??= new \WeakMap();
        [$text, $said] = self::$read[$model] ?? [null, null];
        if ($said === null || $text !== $value) {
            /** @var KeptForecast $kept */
            $kept = json_decode($value, true, self::DEPTH, JSON_THROW_ON_ERROR);
            $said = ItemForecast::fromArray($kept);
            self::$read[$model] = [$value, $said];
        }

        return $said;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value->toArray(), JSON_THROW_ON_ERROR);
    }
}
