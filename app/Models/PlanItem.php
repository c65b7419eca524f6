<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Priority\TacticLabel;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One piece of work on the roadmap: a keyword, what is done for it, when and by whom.
 *
 * @property int                   $id
 * @property int                   $study_id
 * @property int                   $domain_id     from whose side it was planned
 * @property string                $keyword
 * @property ?string               $month         YYYY-MM; null while it waits for a month
 * @property string                $status        planned, writing, published, done, dropped
 * @property string                $tactic
 * @property float                 $effort_days
 * @property ?int                  $links_to_earn
 * @property string                $owner
 * @property ?CarbonImmutable      $due
 * @property bool                  $is_pinned
 * @property array<string, string> $brief         angle, call to action, questions, notes
 * @property ?string               $done_month
 * @property ?Said $said what was said of it when it was planned
 * @property ?Promise $promise what was expected when it was done
 * @property int                   $version       counts changes, so that two people notice each other
 * @property ?int                  $updated_by
 *
 * @phpstan-type Said array{reach?: ?float, win_chance?: ?float, expected_gain?: ?float, gain?: ?float, position?: ?int, target?: int}
 * @phpstan-type Promise array{gain?: ?float, win_chance?: ?float, visits_then?: float, position_then?: ?int, target?: ?int}
 */
final class PlanItem extends Model
{
    public const CREATED_AT = null;

    protected $fillable = [
        'study_id',
        'domain_id',
        'keyword',
        'month',
        'status',
        'tactic',
        'effort_days',
        'links_to_earn',
        'owner',
        'due',
        'is_pinned',
        'brief',
        'done_month',
        'said',
        'promise',
        'version',
        'updated_by',
    ];

    protected $attributes = [
        'brief' => '{}',
        'owner' => '',
        'status' => 'planned',
        'version' => 1,
        'is_pinned' => false,
        'month' => null,
        'due' => null,
        'done_month' => null,
        'said' => null,
        'promise' => null,
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
            'said' => 'array',
            'promise' => 'array',
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

    public function tacticLabel(): TacticLabel
    {
        return TacticLabel::parse($this->tactic);
    }

    /** Counts in capacity and forecast. */
    public function isAlive(): bool
    {
        return ItemStatus::from($this->status)->isAlive();
    }
}
