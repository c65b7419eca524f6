<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use App\Support\Tabular\Table;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Weights;

/** The same tables as the commands write, left with the rows that the sentence lets through. */
final readonly class ExportBench
{
    /** Place of the keyword, or the topic, in each table that has one. */
    private const NAME = ['compare' => 0, 'weigh' => 1, 'weigh by topic' => 1, 'topics' => 1];

    public function __construct(
        private CompareExport $compare,
        private WeighExport $weigh,
        private WeighTopicsExport $weighTopics,
        private TopicsExport $topics,
        private ModelExport $model,
    ) {
    }

    private static function study(Comparison $comparison): Study
    {
        return Study::query()->with('domains')->findOrFail($comparison->study_id);
    }

    public function execute(string $export, Comparison $comparison, Sentence $sentence, Weights $weights, FitGate $gate): Table
    {
        $table = match ($export) {
            'weigh' => $this->weigh->table(self::study($comparison), $comparison, $weights, $gate),
            'weigh by topic' => $this->weighTopics->table(self::study($comparison), $comparison, $weights),
            'topics' => $this->topics->table($comparison),
            'model' => $this->model->table($comparison),
            default => $this->compare->table($comparison),
        };
        if ($sentence->clauses === [] || ! isset(self::NAME[$export])) {
            return $table;
        }
        // A topic is let through with any open keyword of it.
        $wanted = $export === 'weigh by topic'
            ? ListedRows::of($comparison, $sentence, $gate)->whereNotNull('topic')->distinct()->pluck('topic')
            : (new ComparisonRows($comparison))->query($sentence)->pluck('keyword');

        return new Table($table->headings, self::only($table->rows, self::NAME[$export], $wanted->flip()->all()));
    }

    /**
     * @param iterable<list<string|int|float|bool|null>> $rows
     * @param array<array-key, mixed>                    $wanted keyword → anything
     *
     * @return \Generator<int, list<string|int|float|bool|null>>
     */
    private static function only(iterable $rows, int $place, array $wanted): \Generator
    {
        foreach ($rows as $row) {
            if (isset($wanted[(string) $row[$place]])) {
                yield $row;
            }
        }
    }
}
