<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One finished comparison: what it was made from, its summary, and its rows in a partition of their own.
 *
 * @phpstan-type ComparedDomain array{id: int, entry: string, authority: ?float, snapshot: ?string, previous: ?string}
 *
 * @property int                  $id
 * @property int                  $study_id
 * @property string               $channel
 * @property int                  $within
 * @property ?CarbonImmutable     $as_of
 * @property int                  $data_version
 * @property list<ComparedDomain> $domains      ours first
 * @property array<string, mixed> $summary
 * @property CarbonImmutable      $created_at
 */
final class Comparison extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['study_id', 'channel', 'within', 'as_of', 'data_version', 'domains', 'summary'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'within' => 'integer',
            'as_of' => 'immutable_date',
            'data_version' => 'integer',
            'domains' => 'array',
            'summary' => 'array',
            'created_at' => 'immutable_datetime',
        ];
    }

    /** @return list<string> the competitors' entries, as listed */
    public function competitors(): array
    {
        return array_slice(array_column($this->domains, 'entry'), 1);
    }
}
