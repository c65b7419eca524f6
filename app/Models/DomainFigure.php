<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What one list or one pull says about a domain; all are kept, and `domains` bears the figures chosen from them.
 *
 * @property int    $id
 * @property int    $study_id
 * @property int    $domain_id
 * @property ?int   $import_id         null where no file stands behind it
 * @property string $kind              lists or pulls
 * @property string $day               YYYY-MM-DD
 * @property ?float $authority         0…100
 * @property ?int   $referring_domains
 * @property ?int   $backlinks
 */
final class DomainFigure extends Model
{
    public const LISTS = 'lists';
    public const PULLS = 'pulls';

    public $timestamps = false;

    protected $fillable = ['study_id', 'domain_id', 'import_id', 'kind', 'day', 'authority', 'referring_domains', 'backlinks'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['authority' => 'float', 'referring_domains' => 'integer', 'backlinks' => 'integer'];
    }
}
