<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\UserError;
use App\Models\Import;
use App\Support\Pulse;
use App\Support\Tabular\FileFingerprint;
use App\Support\Tabular\TableFile;
use App\Support\Tabular\TableReader;
use App\Support\Tabular\TableWithHeaderRow;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\FileProblem;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Intake\NumberFormatDetector;
use Illuminate\Support\Facades\DB;

/**
 * Brings one file into a study, all or nothing: rows go through the core into a staging table, and from there, in the
 * same transaction, into what the study keeps. An import that is cut off leaves nothing behind.
 */
final readonly class ImportFile
{
    /** Rows whose numbers are looked at before the reading begins. */
    private const SAMPLE = 1000;

    private const NEARLY = 'The column "%s" is not used. It may be the field "%s".';

    public function __construct(
        private Loaders $loaders,
        private TableReader $reader,
        private Mappings $mappings,
        private DeleteImport $forget,
    ) {
    }

    /**
     * @param ?\Closure(int): void $progress told the number of rows read, now and then
     *
     * @throws FileProblem|ImportFailed|UserError
     */
    public function execute(ImportOptions $order, ?\Closure $progress = null): ImportOutcome
    {
        $pulse = new Pulse($progress);
        $table = TableWithHeaderRow::of($this->reader->open($order->path, $pulse), $order->headerLine);
        $plan = $this->mappings->plan($order, $table->headers());
        if ($order->kind === ImportKind::Rankings && $order->domain === null && ! $plan->has('domain')) {
            throw UserError::because('domain', 'A rankings file needs a domain. Choose one, or add a column "domain".');
        }
        DB::beginTransaction();
        try {
            $outcome = $this->load($order, $table, $plan, $pulse);
            $order->isDryRun ? DB::rollBack() : DB::commit();
        } catch (\Throwable $error) {
            self::giveUp();
            throw $error;
        }

        return $outcome;
    }

    /** Where the connection itself was lost the server has rolled back already. */
    private static function giveUp(): void
    {
        try {
            DB::rollBack();
        } catch (\PDOException) {
            DB::disconnect();
        }
    }

    private function load(ImportOptions $order, TableFile $table, ColumnPlan $plan, Pulse $pulse): ImportOutcome
    {
        $fingerprint = FileFingerprint::begin($order->path);
        $staged = $this->stage($order, $table, $plan, $pulse);
        if ($staged->badRows->total() > $order->allowedErrors) {
            throw ImportFailed::with($staged->badRows);
        }
        $import = Import::query()->create([
            'study_id' => $order->study->id,
            'user_id' => $order->userId,
            'kind' => $order->kind,
            'file_name' => $order->fileName,
            'sha256' => $fingerprint->sha256(),
            'day' => $order->day,
            'rows_kept' => $staged->kept,
            'rows_dropped' => $staged->dropped,
            'rows_bad' => $staged->badRows->total(),
            'mapping' => $plan->mapping(),
            'format' => $table->format(),
        ]);
        $isSameFile = $this->supersedeSameFile($import);
        $notes = [...self::nearly($order, $table, $plan), ...$staged->loader->settle($import)];
        if (! $order->isDryRun) {
            $this->mappings->remember($order, $table->headers());
        }
        $order->study->touchData();

        return new ImportOutcome(
            $import->id,
            $staged->kept,
            $staged->dropped,
            $staged->badRows,
            $staged->numbers->format(),
            $staged->numbers->isAmbiguous(),
            $isSameFile,
            $notes,
            $order->isDryRun ? $staged->loader->changes($import) : null,
        );
    }

    /** @return list<string> */
    private static function nearly(ImportOptions $order, TableFile $table, ColumnPlan $plan): array
    {
        $nearly = ColumnPlan::nearly($order->kind, $table->headers(), $plan->mapping());

        return array_map(
            static fn(string $header, string $field): string => sprintf(self::NEARLY, $header, $field),
            array_map(strval(...), array_keys($nearly)),
            $nearly,
        );
    }

    /** Reads by the number format that the first rows show; where the whole file turns out to show another, reads again. */
    private function stage(ImportOptions $order, TableFile $table, ColumnPlan $plan, Pulse $pulse): StagedRows
    {
        $shown = new NumberFormatDetector();
        $sampled = 0;
        foreach ($table->rows() as $cells) {
            $shown->seeRow($cells, $plan);
            if (++$sampled === self::SAMPLE) {
                break;
            }
        }
        $staged = StagedRows::read($table, $plan, $shown->format(), $this->loaders->of($order), $pulse);

        return $staged->numbers->format() === $shown->format()
            ? $staged
            : StagedRows::read($table, $plan, $staged->numbers->format(), $this->loaders->of($order), $pulse);
    }

    /** A list that is the same byte for byte takes the place of its earlier self; snapshots are replaced by their key. */
    private function supersedeSameFile(Import $import): bool
    {
        /** @var list<Import> $same */
        $same = Import::query()
            ->where('study_id', $import->study_id)
            ->where('kind', $import->kind)
            ->where('sha256', $import->sha256)
            ->where('id', '<>', $import->id)
            ->get()
            ->all();
        foreach ($import->kind === ImportKind::Rankings ? [] : $same as $older) {
            $older->superseded_by === null ? $older->update(['superseded_by' => $import->id]) : $this->forget->execute($older);
        }

        return $same !== [];
    }
}
