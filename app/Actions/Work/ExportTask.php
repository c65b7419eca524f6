<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Bench\ClauseCountsQuery;
use App\Actions\Exports\ExportStorage;
use App\Actions\Exports\ListExport;
use App\Actions\Exports\ListView;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\Task;
use App\Support\Rows\LongList;
use App\Support\Sentence\Sentence;
use App\Support\Tabular\Table;
use App\Support\Tabular\XlsxFile;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Support\Facades\DB;

/** Writes a long list as a spreadsheet, to be fetched when it is ready. */
final readonly class ExportTask implements TaskHandler
{
    public function __construct(private ListExport $export, private ExportStorage $files)
    {
    }

    public function run(Task $task, Progress $progress): array
    {
        $study = Study::query()->findOrFail($task->study_id);
        $comparison = $study->comparison ?? throw UserError::because('comparison', 'Nothing has been compared yet.');
        /**
         * @var array{list: string, show: string, weights: string, sort: ?string, descending: bool, columns: list<string>,
         *     title: ?string} $order
         */
        $order = $task->payload;
        $shown = new ListView(
            LongList::from($order['list']),
            Sentence::parse($order['show']),
            Weights::parse($order['weights']),
            $order['sort'],
            $order['descending'],
            $order['columns'],
        );
        $gate = $study->rulebook()->fitGate();

        return DB::transaction(function () use ($task, $progress, $comparison, $shown, $gate, $order): array {
            $total = ClauseCountsQuery::count($comparison, $shown->sentence, $shown->list, $gate);
            $table = $this->export->table($comparison, $shown, $gate)->titled($order['title']);
            $told = new Table($table->headings, self::counted($table->rows, $progress, $total), $table->title);
            $this->files->write($task->id, static fn(string $path) => (new XlsxFile())->write($told, $path));

            return ['rows' => $total];
        });
    }

    /**
     * @param iterable<list<string|int|float|bool|null>> $rows
     *
     * @return \Generator<int, list<string|int|float|bool|null>>
     */
    private static function counted(iterable $rows, Progress $progress, int $total): \Generator
    {
        $written = 0;
        foreach ($rows as $row) {
            yield $row;
            $progress->tell('writing rows', ++$written, $total);
        }
    }

    public function changesData(): bool
    {
        return false;
    }
}
