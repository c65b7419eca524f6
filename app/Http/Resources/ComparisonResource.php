<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Comparison;
use GreaterReach\Core\Winning\PositionFeature;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @property Comparison $resource */
final class ComparisonResource extends JsonResource
{
    /** What only the weighing needs. */
    private const INNER = ['effects' => true, 'common_stems' => true];

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->resource->id,
            'channel' => $this->resource->channel,
            'within' => $this->resource->within,
            'as_of' => $this->resource->as_of?->toDateString(),
            'domains' => $this->resource->domains,
            'summary' => array_diff_key($this->resource->summary->toArray(), self::INNER),
            'model_steps' => $this->modelSteps(),
            'made_at' => $this->resource->created_at->toIso8601ZuluString(),
        ];
    }

    /** @return list<array{feature: string, words: string, odds: ?float}> what each feature does to the odds to stand better */
    private function modelSteps(): array
    {
        $fit = $this->resource->summary->models?->positions->fit;

        return $fit === null ? [] : array_map(static fn(PositionFeature $one): array => [
            'feature' => $one->value,
            'words' => $one->stepInWords(),
            'odds' => $fit->oddsOfStep($one),
        ], PositionFeature::cases());
    }
}
