<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\Scope;
use Illuminate\Database\Eloquent\Model;

/**
 * One domain of a study: ours, a competitor, or a candidate that is not compared yet.
 *
 * @property int              $id
 * @property int              $study_id
 * @property string           $role
 * @property int              $place              order among competitors
 * @property string           $entry              as given, lower-cased
 * @property Scope            $scope
 * @property ?float           $authority          0…100
 * @property ?int             $referring_domains
 * @property ?int             $backlinks
 * @property list<string>     $brand_terms        those given beside the domain's own name
 * @property ?CarbonImmutable $metrics_date
 */
final class Domain extends Model
{
    public const OWN = 'own';
    public const COMPETITOR = 'competitor';
    public const CANDIDATE = 'candidate';

    protected $fillable = [
        'study_id',
        'role',
        'place',
        'entry',
        'scope',
        'authority',
        'referring_domains',
        'backlinks',
        'brand_terms',
        'metrics_date',
    ];

    protected $attributes = ['brand_terms' => '[]'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'place' => 'integer',
            'scope' => Scope::class,
            'authority' => 'float',
            'referring_domains' => 'integer',
            'backlinks' => 'integer',
            'brand_terms' => 'array',
            'metrics_date' => 'immutable_date',
        ];
    }

    public function toEntry(PublicSuffixList $suffixes): DomainEntry
    {
        return DomainEntry::of($this->entry, $suffixes, $this->scope);
    }

    /** @return list<string> the domain's name and the terms given */
    public function allBrandTerms(PublicSuffixList $suffixes): array
    {
        return [$this->toEntry($suffixes)->name(), ...$this->brand_terms];
    }
}
