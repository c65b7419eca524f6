<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * Another way to lay the items of the roadmap over the months: nothing in it is agreed.
 *
 * @property int                $id
 * @property int                $study_id
 * @property ?int               $user_id
 * @property string             $name
 * @property string             $start      YYYY-MM
 * @property int                $months
 * @property float              $capacity   days of work in each month
 * @property array<int, string> $placements number of the item → YYYY-MM; what is not named has no month
 * @property int                $version    counts changes, so that two people notice each other
 */
final class PlanDraft extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['study_id', 'user_id', 'name', 'start', 'months', 'capacity', 'placements', 'version'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['months' => 'integer', 'capacity' => 'float', 'placements' => 'array', 'version' => 'integer'];
    }
}
