<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use GreaterReach\Core\Plan\DrawCache;
use GreaterReach\Core\Plan\ForecastItem;
use Illuminate\Support\Facades\Cache;

/** The draws of single items, under all that they depend on: as long as an item promises the same, it need not be drawn again. */
final readonly class CachedDraws implements DrawCache
{
    private const DAY = 86_400;

    /** @param string $rules of the rulebook that say how it is drawn */
    private function __construct(public string $rules)
    {
    }

    public static function of(Study $study): self
    {
        $rulebook = $study->rulebook();

        return new self(implode(' ', [
            $rulebook->int('forecast_draws'), $rulebook->float('forecast_sigma'), $rulebook->int('seed'),
            hash('sha256', json_encode(ForecastPages::effects($study)->toArray(), JSON_THROW_ON_ERROR)),
        ]));
    }

    #[\Override]
    public function drawn(array $items, \Closure $draw): array
    {
        $keys = array_map(fn(ForecastItem $item): string => 'draws '.hash('sha256', "{$this->rules} ".self::promised($item)), $items);
        $kept = $keys === [] ? [] : Cache::many($keys);
        $drawn = [];
        $new = [];
        foreach ($items as $number => $item) {
            $bytes = $kept[$keys[$number]] ?? null;
            $drawn[$item->name] = \is_string($bytes) ? self::unpacked($bytes) : $draw($item);
            if (! \is_string($bytes)) {
                $new[$keys[$number]] = pack('E*', ...$drawn[$item->name]);
            }
        }
        if ($new !== []) {
            Cache::putMany($new, self::DAY);
        }

        return $drawn;
    }

    /** What an item draws from, as bytes. */
    public static function promised(ForecastItem $item): string
    {
        return "{$item->name} ".$item->gains->fingerprint();
    }

    /** @return list<float> */
    private static function unpacked(string $bytes): array
    {
        /** @var array<int, float> $floats */
        $floats = unpack('E*', $bytes);

        return array_values($floats);
    }
}
