<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A way to one brief for a writer without an account.
 *
 * @property int              $id
 * @property int              $plan_item_id
 * @property ?int             $user_id    who made it
 * @property CarbonImmutable  $created_at
 * @property CarbonImmutable  $expires_at
 * @property ?CarbonImmutable $revoked_at
 * @property ?CarbonImmutable $used_at    when it was last opened
 */
final class BriefLink extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['plan_item_id', 'user_id', 'created_at', 'expires_at', 'revoked_at', 'used_at'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'created_at' => 'immutable_datetime',
            'expires_at' => 'immutable_datetime',
            'revoked_at' => 'immutable_datetime',
            'used_at' => 'immutable_datetime',
        ];
    }

    private function isOfBlockedUser(): bool
    {
        $user = $this->user_id === null ? null : User::query()->find($this->user_id);

        return $user === null || $user->disabled_at !== null;
    }

    /** Why it opens nothing; null where it does. */
    public function closedBecause(): ?string
    {
        return match (true) {
            $this->revoked_at !== null => 'This link was revoked.',
            $this->isOfBlockedUser() => 'The person who shared this brief no longer has access.',
            $this->expires_at->isPast() => 'This link expired on '.$this->expires_at->toDateString().'.',
            default => null,
        };
    }
}
