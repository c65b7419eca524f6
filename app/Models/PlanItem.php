<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\ItemForecastCast;
use Carbon\CarbonImmutable;
use GreaterReach\Core\Plan\ItemForecast;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Plan\Unit;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One piece of work on the roadmap: a page, as its topic, or a keyword by itself; what is done for it, when and by whom.
 *
 * @property int                   $id
 * @property int                   $study_id
 * @property int                   $domain_id     from whose side it was planned
 * @property Unit                  $unit
 * @property string                $name          of the topic, or the keyword
 * @property string                $lead          keyword that led when it was planned
 * @property ?string               $month         YYYY-MM; null while it waits for a month
 * @property string                $status        planned, writing, published, done, dropped
 * @property string                $tactic
 * @property float                 $effort_days
 * @property ?int                  $links_to_earn
 * @property string                $owner
 * @property ?CarbonImmutable      $due
 * @property bool                  $is_pinned
 * @property array<string, string> $brief         angle, call to action, questions, notes
 * @property ?string               $published_url where it was published, as its writer said
 * @property ?string               $writer_note   what its writer wants known
 * @property ?string               $done_month
 * @property ?ItemForecast         $said          when it was planned
 * @property list<array<string, mixed>> $folded  items of single keywords that this one was made of, as they were
 * @property int                   $version       counts changes, so that two people notice each other
 * @property ?int                  $updated_by
 */
final class PlanItem extends Model
{
    public const CREATED_AT = null;

    /** Shown instead of a tactic for link work. */
    public const EARN_LINKS = 'earn links';

    protected $fillable = [
        'study_id',
        'domain_id',
        'unit',
        'name',
        'lead',
        'month',
        'status',
        'tactic',
        'effort_days',
        'links_to_earn',
        'owner',
        'due',
        'is_pinned',
        'brief',
        'published_url',
        'writer_note',
        'done_month',
        'said',
        'version',
        'updated_by',
    ];

    protected $attributes = [
        'brief' => '{}',
        'unit' => 'topic',
        'folded' => '[]',
        'owner' => '',
        'status' => 'planned',
        'version' => 1,
        'is_pinned' => false,
        'month' => null,
        'due' => null,
        'published_url' => null,
        'writer_note' => null,
        'done_month' => null,
        'said' => null,
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'effort_days' => 'float',
            'links_to_earn' => 'integer',
            'due' => 'immutable_date',
            'is_pinned' => 'boolean',
            'brief' => 'array',
            'unit' => Unit::class,
            'said' => ItemForecastCast::class,
            'folded' => 'array',
            'version' => 'integer',
        ];
    }

    /** @return Builder<PlanItem> the items planned from the side that the study is seen from */
    public static function of(Study $study): Builder
    {
        return self::query()->where('study_id', $study->id)->where('domain_id', $study->ownDomain()->id);
    }

    /** @return array<string, int> entry of a domain → items planned from its side, of all but the one that the study is seen from */
    public static function elsewhere(Study $study): array
    {
        $counts = self::query()
            ->where('plan_items.study_id', $study->id)
            ->where('domain_id', '!=', $study->ownDomain()->id)
            ->join('domains', 'domains.id', '=', 'domain_id')
            ->groupBy('entry')
            ->orderBy('entry')
            ->selectRaw('entry, count(*) AS items')
            ->pluck('items', 'entry');

        /** @var array<string, int> */
        return $counts->all();
    }

    /** A piece of work that may come to be. */
    public static function draft(Study $study, Unit $unit, string $name): self
    {
        return new self([
            'study_id' => $study->id,
            'domain_id' => $study->ownDomain()->id,
            'unit' => $unit,
            'name' => $name,
            'lead' => $name,
        ]);
    }

    /** What tells it from the others of its study and side. */
    public function key(): string
    {
        return $this->unit->value.': '.$this->name;
    }

    /** By this name it draws in forecasts: a page as in every proposal. */
    public function drawsAs(): string
    {
        return $this->unit === Unit::Topic ? $this->name : $this->key();
    }

    /** Whether it is links to earn for a page: days of work without keywords, chances or a forecast. */
    public function isLinks(): bool
    {
        return $this->unit === Unit::Links;
    }

    /** Null of links, which no tactic brings about. */
    public function tacticOfPage(): ?Tactic
    {
        return $this->isLinks() ? null : TacticLabel::parse($this->tactic)->tactic;
    }

    /** Counts in capacity and forecast. */
    public function isAlive(): bool
    {
        return ItemStatus::from($this->status)->isAlive();
    }
}
