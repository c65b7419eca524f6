<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One piece of long work: what is to be done, how far it is, and how it ended.
 *
 * @property int                   $id
 * @property int                   $study_id
 * @property ?int                  $user_id
 * @property TaskKind              $kind
 * @property TaskStatus            $status
 * @property string                $title
 * @property string                $stage         what is being done now, in words
 * @property int                   $done          rows or parts so far
 * @property ?int                  $total         null while it is not known
 * @property string                $message       how it ended, and what to do next
 * @property array<string, mixed>  $payload
 * @property ?array<string, mixed> $result
 * @property bool                  $cancel_wanted
 * @property int                   $starts        how often it was begun
 * @property CarbonImmutable       $created_at
 * @property ?CarbonImmutable      $started_at
 * @property ?CarbonImmutable      $finished_at
 */
final class Task extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'study_id',
        'user_id',
        'kind',
        'status',
        'title',
        'stage',
        'done',
        'total',
        'message',
        'payload',
        'result',
        'cancel_wanted',
        'starts',
        'started_at',
        'finished_at',
    ];

    protected $attributes = [
        'stage' => '',
        'done' => 0,
        'message' => '',
        'cancel_wanted' => false,
        'starts' => 0,
        'total' => null,
        'result' => null,
    ];

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => TaskKind::class,
            'status' => TaskStatus::class,
            'done' => 'integer',
            'total' => 'integer',
            'payload' => 'array',
            'result' => 'array',
            'cancel_wanted' => 'boolean',
            'starts' => 'integer',
            'created_at' => 'immutable_datetime',
            'started_at' => 'immutable_datetime',
            'finished_at' => 'immutable_datetime',
        ];
    }
}
