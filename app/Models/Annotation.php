<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * A dated note on a study, such as a relaunch, drawn on every line over time.
 *
 * @property int             $id
 * @property int             $study_id
 * @property ?int            $user_id  who wrote it
 * @property CarbonImmutable $day
 * @property string          $text
 */
final class Annotation extends Model
{
    public $timestamps = false;

    protected $fillable = ['study_id', 'user_id', 'day', 'text'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['day' => 'immutable_date'];
    }
}
