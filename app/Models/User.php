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
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    protected $fillable = ['name', 'email', 'password', 'is_administrator'];

    protected $hidden = ['password'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'is_administrator' => 'boolean'];
    }

    /** Sessions end with the browser's cookie; nobody is remembered beyond that. */
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
