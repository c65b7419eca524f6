<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * @property int    $id
 * @property string $name
 * @property string $email
 * @property bool   $is_administrator
 * @property bool   $may_make_studies
 * @property ?string $totp_secret in Base32; asked for from `totp_since` on
 * @property int    $totp_step step of the last code that was taken
 * @property list<string> $recovery_codes what those that are left come to
 * @property ?\Illuminate\Support\Carbon $disabled_at
 * @property ?\Illuminate\Support\Carbon $totp_since
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    protected $fillable = [
        'name', 'email', 'password', 'is_administrator', 'may_make_studies', 'disabled_at', 'totp_secret', 'totp_since', 'totp_step',
        'recovery_codes',
    ];

    protected $hidden = ['password', 'totp_secret', 'recovery_codes'];

    /** As the table has them. */
    protected $attributes = ['may_make_studies' => true, 'disabled_at' => null, 'totp_since' => null, 'totp_secret' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed',
            'is_administrator' => 'boolean',
            'may_make_studies' => 'boolean',
            'disabled_at' => 'datetime',
            'totp_secret' => 'encrypted',
            'totp_since' => 'datetime',
            'totp_step' => 'integer',
            'recovery_codes' => 'array',
        ];
    }

    public function hasSecondFactor(): bool
    {
        return $this->totp_since !== null;
    }

    /** Where administrators must have one, those without see nothing else before they do. */
    public function lacksSecondFactor(): bool
    {
        return $this->is_administrator && ! $this->hasSecondFactor() && config()->boolean('reach.administrators_need_second_factor');
    }

    public function maySetUpStudies(): bool
    {
        return $this->is_administrator || $this->may_make_studies;
    }

    /** Sessions end with the browser's cookie; no one is remembered beyond that. */
    public function getRememberTokenName(): string
    {
        return '';
    }

    /** @return BelongsToMany<Study, $this> */
    public function studies(): BelongsToMany
    {
        return $this->belongsToMany(Study::class, 'study_members')->withPivot('role');
    }
}
