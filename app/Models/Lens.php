<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A sentence with a name, shared in its study.
 *
 * @property int    $id
 * @property int    $study_id
 * @property ?int   $user_id
 * @property string $name
 * @property string $show
 */
final class Lens extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'lenses';

    protected $fillable = ['study_id', 'user_id', 'name', 'show'];
}
