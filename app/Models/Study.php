<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Facades\DB;

/**
 * Our domain against its competitors in one market.
 *
 * @property int                                                 $id
 * @property string                                              $slug
 * @property string                                              $name
 * @property string                                              $country       two letters, ISO 3166
 * @property string                                              $language      two letters, ISO 639
 * @property string                                              $device        desktop or mobile
 * @property string                                              $currency      three letters, ISO 4217
 * @property ?CarbonImmutable                                    $as_of         null: the newest snapshots
 * @property int                                                 $data_version
 * @property ?int                                                $comparison_id
 * @property ?string                                             $pull_source   null: pulls only when someone asks
 * @property ?int                                                $pull_day      day of the month, 1…28
 * @property ?CarbonImmutable                                    $pulled_on     last day on which it pulled by itself
 * @property ?Comparison                                         $comparison
 * @property ?\Illuminate\Support\Carbon                         $deleted_at    put away; kept some days
 * @property-read ?string                                         $deleter       name of who did it, where that is asked for
 * @property-read string                                          $listed_under  group of a list that has groups
 * @property \Illuminate\Database\Eloquent\Collection<int, Domain> $domains
 */
final class Study extends Model
{
    use SoftDeletes;

    protected $fillable = ['slug', 'name', 'country', 'language', 'device', 'currency', 'as_of', 'comparison_id'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'as_of' => 'immutable_date', 'data_version' => 'integer', 'comparison_id' => 'integer', 'pull_day' => 'integer',
            'pulled_on' => 'immutable_date',
        ];
    }

    /** @return HasMany<Domain, $this> ours first, then the competitors as listed, then the candidates */
    public function domains(): HasMany
    {
        $domains = $this->hasMany(Domain::class);
        $domains->orderByRaw("array_position(ARRAY['own', 'competitor', 'candidate'], role::text)")->orderBy('place')->orderBy('id');

        return $domains;
    }

    /** @return BelongsTo<Comparison, $this> */
    public function comparison(): BelongsTo
    {
        return $this->belongsTo(Comparison::class);
    }

    /** @return HasMany<Import, $this> */
    public function imports(): HasMany
    {
        return $this->hasMany(Import::class);
    }

    /** @return HasMany<Lens, $this> */
    public function lenses(): HasMany
    {
        return $this->hasMany(Lens::class);
    }

    /** @return HasMany<WeightPreset, $this> */
    public function weightPresets(): HasMany
    {
        return $this->hasMany(WeightPreset::class);
    }

    /** @return HasMany<PlanDraft, $this> */
    public function planDrafts(): HasMany
    {
        return $this->hasMany(PlanDraft::class);
    }

    /** @return BelongsToMany<User, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'study_members')->withPivot('role');
    }

    /** @return list<Domain> ours first, then the competitors as listed */
    public function comparedDomains(): array
    {
        return array_values($this->domains->filter(static fn(Domain $domain): bool => $domain->role !== Domain::CANDIDATE)->all());
    }

    /** The domain from whose side everything is seen. */
    public function ownDomain(): Domain
    {
        return $this->comparedDomains()[0];
    }

    public function rulebook(): Rulebook
    {
        /** @var array<string, string> $texts */
        $texts = DB::table('rulebook_settings')->where('study_id', $this->id)->pluck('value', 'key')->all();

        return Rulebook::fromTexts($texts);
    }

    /** Tells comparisons that what they were made from has changed. */
    public function touchData(): void
    {
        $this->increment('data_version');
    }

    /** @return Builder<Study> the studies that a person may see */
    public static function visibleTo(User $user): Builder
    {
        $studies = self::query();
        if (! $user->is_administrator) {
            $studies->whereIn('id', DB::table('study_members')->select('study_id')->where('user_id', $user->id));
        }

        return $studies;
    }
}
