<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Comparison;
use GreaterReach\Core\Winning\WinModel;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Comparison $resource */
final class ComparisonResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'channel' => $this->resource->channel,
            'within' => $this->resource->within,
            'as_of' => $this->resource->as_of?->toDateString(),
            'domains' => $this->resource->domains,
            'summary' => [...$this->resource->summary->toArray(), 'odds' => $this->odds()],
            'made_at' => $this->resource->created_at->toIso8601ZuluString(),
        ];
    }

    /** @return ?array{difficulty: float, features: array<string, ?float>} by what ten points more multiply the odds of page one */
    private function odds(): ?array
    {
        $model = $this->resource->models()?->winModel;

        $odds = static fn(?float $slope): ?float => $slope === null ? null : WinModel::oddsRatio($slope, 10);

        return $model === null ? null : [
            'difficulty' => WinModel::oddsRatio($model->difficultySlope, 10),
            'features' => array_map($odds, $model->slopes),
        ];
    }
}
