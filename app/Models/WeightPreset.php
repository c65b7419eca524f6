<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Weights with a name, shared in their study.
 *
 * @property int    $id
 * @property int    $study_id
 * @property ?int   $user_id
 * @property string $name
 * @property string $weights  `volume:1,ease:2`
 */
final class WeightPreset extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['study_id', 'user_id', 'name', 'weights'];
}
