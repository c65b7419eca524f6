<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Model;

/**
 * A file as it was received, until it is imported or forgotten.
 *
 * @property string          $id
 * @property int             $study_id
 * @property int             $user_id
 * @property string          $file_name  as the person calls it
 * @property int             $bytes
 * @property CarbonImmutable $created_at
 */
final class Upload extends Model
{
    use HasUuids;

    public const UPDATED_AT = null;
    public const FOLDER = 'uploads';

    protected $fillable = ['study_id', 'user_id', 'file_name', 'bytes'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['bytes' => 'integer', 'created_at' => 'immutable_datetime'];
    }

    /** Where the store keeps it. */
    public function stored(): string
    {
        return self::FOLDER.'/'.$this->id;
    }
}
