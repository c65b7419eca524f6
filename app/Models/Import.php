<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Database\Eloquent\Model;

/**
 * One file that was imported.
 *
 * @property int                   $id
 * @property int                   $study_id
 * @property ?int                  $user_id
 * @property ImportKind            $kind
 * @property string                $file_name
 * @property string                $sha256
 * @property CarbonImmutable       $day
 * @property int                   $rows_kept
 * @property int                   $rows_dropped positions over 100 or URLs outside the domain's scope
 * @property int                   $rows_bad
 * @property array<string, string> $mapping      field → header
 * @property ?int                  $superseded_by the import of the very same file that took its place
 * @property string                $format        what the file was, in words
 * @property ?array<int, ?array{brand_terms: list<string>}> $before        what an undo puts back
 * @property CarbonImmutable       $created_at
 */
final class Import extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'study_id',
        'user_id',
        'kind',
        'file_name',
        'sha256',
        'day',
        'rows_kept',
        'rows_dropped',
        'rows_bad',
        'mapping',
        'superseded_by',
        'format',
        'before',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => ImportKind::class,
            'day' => 'immutable_date',
            'rows_kept' => 'integer',
            'rows_dropped' => 'integer',
            'rows_bad' => 'integer',
            'mapping' => 'array',
            'before' => 'array',
            'superseded_by' => 'integer',
            'created_at' => 'immutable_datetime',
        ];
    }
}
