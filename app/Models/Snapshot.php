<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;

/**
 * One domain × channel × day: what ranked then.
 *
 * @property int             $id
 * @property int             $study_id
 * @property int             $domain_id
 * @property int             $import_id
 * @property string          $channel   organic or paid
 * @property CarbonImmutable $day
 * @property int             $keywords
 * @property int             $rankings
 */
final class Snapshot extends Model
{
    public const ORGANIC = 'organic';
    public const PAID = 'paid';

    public $timestamps = false;

    protected $fillable = ['study_id', 'domain_id', 'import_id', 'channel', 'day', 'keywords', 'rankings'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['day' => 'immutable_date', 'keywords' => 'integer', 'rankings' => 'integer'];
    }
}
