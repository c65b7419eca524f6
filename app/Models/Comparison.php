<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\FindingCast;
use App\Models\Casts\SummaryCast;
use App\Support\Database\RowTable;
use App\Support\Database\TopicTable;
use Carbon\CarbonImmutable;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Priority\Models;
use Illuminate\Database\Eloquent\Model;

/**
 * One finished comparison: what it was made from, its summary, and its rows in a partition of their own.
 *
 * @phpstan-type ComparedDomain array{id: int, entry: string, authority: ?float, snapshot: ?string, previous: ?string}
 *
 * @property int                  $id
 * @property int                  $study_id
 * @property string               $channel
 * @property int                  $within
 * @property ?CarbonImmutable     $as_of
 * @property int                  $data_version
 * @property list<ComparedDomain> $domains      ours first
 * @property ComparisonSummary    $summary
 * @property bool                 $has_own_rows large enough for a table of its own
 * @property float                $own_visits   that all our positions import a month
 * @property int                  $shown_gaps   gaps that Compare shows from the start
 * @property ?int                 $shown_quick_wins those that Weigh shows from the start; null where no chance is known
 * @property ?Finding             $finding      what stands out most of what can be acted on, when it was last asked for
 * @property CarbonImmutable      $created_at
 */
final class Comparison extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = [
        'study_id',
        'channel',
        'within',
        'as_of',
        'data_version',
        'domains',
        'summary',
        'has_own_rows',
        'own_visits',
        'shown_gaps',
        'shown_quick_wins',
        'finding',
    ];

    protected $attributes = ['has_own_rows' => false, 'own_visits' => 0.0, 'shown_gaps' => 0, 'shown_quick_wins' => null];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'within' => 'integer',
            'as_of' => 'immutable_date',
            'data_version' => 'integer',
            'domains' => 'array',
            'summary' => SummaryCast::class,
            'has_own_rows' => 'boolean',
            'own_visits' => 'float',
            'shown_gaps' => 'integer',
            'shown_quick_wins' => 'integer',
            'finding' => FindingCast::class,
            'created_at' => 'immutable_datetime',
        ];
    }

    /** Where its rows lie. */
    public function table(): RowTable
    {
        return RowTable::of($this->study_id, $this->id, $this->has_own_rows);
    }

    /** Where its topics lie. */
    public function topicTable(): TopicTable
    {
        return new TopicTable($this->id, $this->has_own_rows);
    }

    /** Whether it was made from what the study holds now, as of the day that the study shows. */
    public function isCurrentFor(Study $study): bool
    {
        return $this->data_version === $study->data_version && $this->as_of?->toDateString() === $study->as_of?->toDateString();
    }

    /** How many keywords were compared; without any there is nothing to show. */
    public function keywords(): int
    {
        return $this->summary->keywords;
    }

    /** What it taught; null where it was not weighed. */
    public function models(): ?Models
    {
        return $this->summary->models;
    }

    /** @return list<string> the competitors' entries, as listed */
    public function competitors(): array
    {
        return array_slice(array_column($this->domains, 'entry'), 1);
    }
}
