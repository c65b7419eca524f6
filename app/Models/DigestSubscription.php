<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Someone who wants a mail when a study has a new month.
 *
 * @property int              $id
 * @property int              $study_id
 * @property int              $user_id
 * @property ?CarbonImmutable $sent_day day of the rankings that the newest digest told of, or were there at the start
 * @property ?Study           $study
 * @property User             $user
 */
final class DigestSubscription extends Model
{
    public $timestamps = false;

    protected $fillable = ['study_id', 'user_id', 'sent_day'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['sent_day' => 'immutable_date'];
    }

    /** @return BelongsTo<Study, $this> */
    public function study(): BelongsTo
    {
        return $this->belongsTo(Study::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
