<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Comparison;
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
            'summary' => $this->resource->summary->toArray(),
            'made_at' => $this->resource->created_at->toIso8601ZuluString(),
        ];
    }
}
