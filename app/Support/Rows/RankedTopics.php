<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use App\Support\Database\NameOrder;
use App\Support\Mark;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The weighed topics of a comparison in the order of given weights: those of which an open keyword fits the sentence. */
final readonly class RankedTopics
{
    /** What every topic's open keywords fit anyway, so that it need not be asked of them. */
    private const ALWAYS = ['', 'mark=kept'];

    /** What the list can go by instead of the priority: as it is asked for → column. */
    private const ORDERS = [
        'topic' => 'topic',
        'keywords' => 'keywords',
        'page' => 'own_url',
        'own' => 'own_position',
        'target' => 'target',
        'volume' => 'volume',
        'difficulty' => 'difficulty',
        'visits' => 'visits_now',
        'potential' => 'potential',
        'gain' => 'gain',
        'chance' => 'win_chance',
        'expected' => 'expected_gain',
        'horizon' => 'horizon',
        'tactic' => 'tactic',
        'intent' => 'intent',
        'days' => 'effort_days',
        'worth' => 'worth',
        'links' => 'links_to_earn',
    ];

    public function __construct(private Comparison $comparison, private Sentence $sentence, private FitGate $gate)
    {
    }

    /** @return array<string, string> as it is asked for → column */
    public static function columns(): array
    {
        return self::ORDERS;
    }

    /** @return array<string, string> as it is asked for → what the list goes by, as SQL: names of a kind by their own order */
    public static function orders(): array
    {
        return [
            ...self::ORDERS,
            'horizon' => NameOrder::sql(Horizon::cases(), 'horizon'),
            'intent' => NameOrder::sql(Intent::cases(), 'intent'),
        ];
    }

    public function count(): int
    {
        return $this->fitting()->count();
    }

    /**
     * @param ?string $by of the orders; null goes by priority
     *
     * @return list<\stdClass> topics with their priority, how many of their open keywords are shortlisted, and the lead's own page; those
     *     with a pinned keyword stand above the order
     */
    public function page(Weights $weights, int $offset, int $limit, ?string $by = null, bool $descending = true): array
    {
        $priority = PrioritySql::expression($weights);
        $order = static fn(string $name): string => $by === null
            ? 'pinned DESC, '.PrioritySql::orderBy('priority', 'comparison_topics.topic')
            : $name.($descending ? ' DESC' : ' ASC').' NULLS LAST, comparison_topics.topic';
        // The order is found from narrow rows; only those of the page are read whole.
        $fitting = $this->fitting()
            ->select(['comparison_topics.topic', 'expected_gain', 'gain', 'difficulty'])
            ->selectRaw("{$priority} AS priority")
            ->selectRaw(($by ?? 'NULL').' AS by')
            ->selectRaw("topic = ANY (ARRAY({$this->pinned()})) AS pinned", [$this->comparison->study_id]);
        $page = DB::query()
            ->fromSub($fitting, 'comparison_topics')
            ->select(['topic', 'priority', 'pinned'])
            ->orderByRaw($order('by'))
            ->offset($offset)
            ->limit($limit);
        $rows = $this->comparison->table()->from('r');
        $open = ListedRows::condition($this->gate);

        return array_values(
            $this->comparison->topicTable()->query()
                ->joinSub($page, 'page', 'page.topic', '=', 'comparison_topics.topic')
                ->select(['comparison_topics.*', 'page.priority', 'page.pinned'])
                ->selectRaw("(SELECT r.own_url FROM {$rows} WHERE r.keyword = comparison_topics.lead) AS lead_url")
                ->selectRaw(
                    "(SELECT count(*) FROM {$rows} JOIN decisions d ON d.study_id = ? AND d.keyword = r.keyword AND d.mark = ?
                        WHERE r.topic = comparison_topics.topic AND {$open}) AS shortlisted",
                    [$this->comparison->study_id, Mark::Shortlisted->value],
                )
                ->orderByRaw($order((string) $by))
                ->get()
                ->all(),
        );
    }

    /** All of them, in no order. */
    public function all(): Builder
    {
        return $this->fitting();
    }

    /** The topics with an open keyword that is pinned. */
    private function pinned(): string
    {
        $open = ListedRows::condition($this->gate);

        return "SELECT r.topic FROM decisions d JOIN {$this->comparison->table()->from('r')} ON r.keyword = d.keyword "
            ."WHERE d.study_id = ? AND d.pinned AND d.mark IS DISTINCT FROM '".Mark::SetAside->value."' AND {$open}";
    }

    private function fitting(): Builder
    {
        $topics = $this->comparison->topicTable()->query();
        if (\in_array((string) $this->sentence, self::ALWAYS, true)) {
            return $topics;
        }
        $keywords = ListedRows::of($this->comparison, $this->sentence, $this->gate)
            ->select('comparison_rows.topic')
            ->whereNotNull('comparison_rows.topic');

        // Found once, as a list: nothing is known yet of how many topics a new comparison has.
        return $topics->whereRaw("comparison_topics.topic = ANY (ARRAY({$keywords->toSql()}))", $keywords->getBindings());
    }

    /** @return array<string, ?float> criterion → score */
    public static function scores(\stdClass $topic): array
    {
        $scores = [];
        foreach (RowCatalogue::scores() as $column) {
            $scores[substr($column, \strlen('score_'))] = Figures::float($topic->{$column});
        }

        return $scores;
    }
}
