<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One domain × channel × day: what ranked then.
 *
 * @property int             $id
 * @property int             $study_id
 * @property int             $domain_id
 * @property int             $import_id
 * @property string          $channel   organic or paid
 * @property CarbonImmutable $day
 * @property int             $keywords
 * @property int             $rankings
 * @property ?int            $superseded_by the import whose snapshot of the same day took its place
 */
final class Snapshot extends Model
{
    public const ORGANIC = 'organic';
    public const PAID = 'paid';

    public $timestamps = false;

    /** Only what counts is ever asked for; what was superseded waits for an undo. */
    protected static function booted(): void
    {
        self::addGlobalScope('live', static function (Builder $snapshots): void {
            $snapshots->whereNull('superseded_by');
        });
    }

    protected $fillable = ['study_id', 'domain_id', 'import_id', 'channel', 'day', 'keywords', 'rankings', 'superseded_by'];

    /** @return Builder<self> also those that wait for an undo */
    public static function withSuperseded(): Builder
    {
        return self::query()->withoutGlobalScope('live');
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['day' => 'immutable_date', 'keywords' => 'integer', 'rankings' => 'integer', 'superseded_by' => 'integer'];
    }
}
