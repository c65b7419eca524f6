<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\ImportRefused;
use App\Exceptions\Refused;
use App\Models\Import;
use App\Support\Database\CopyWriter;
use App\Support\Tabular\SourceTable;
use App\Support\Tabular\TableReader;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\FileProblem;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Intake\NumberFormatDetector;
use GreaterReach\Core\Intake\RowParser;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/**
 * Brings one file into a study, all or nothing: rows go through the core into a staging table, and from there, in the
 * same transaction, into what the study keeps. An import that is cut off leaves nothing behind.
 */
final readonly class ImportFile
{
    public function __construct(private PublicSuffixList $suffixes, private TableReader $reader, private Mappings $mappings, private ForgetImport $forget)
    {
    }

    /**
     * @param ?\Closure(int): void $progress told the number of rows read, now and then
     *
     * @throws FileProblem|ImportRefused|Refused
     */
    public function execute(ImportOrder $order, ?\Closure $progress = null): ImportOutcome
    {
        $table = $this->reader->open($order->path);
        $plan = $this->mappings->plan($order, $table->headers());
        if ($order->kind === ImportKind::Rankings && $order->domain === null && ! $plan->has('domain')) {
            throw Refused::because('domain', 'A rankings file needs a domain: give --domain, or a column "domain".');
        }
        $numbers = self::detectNumbers($table, $plan);
        DB::beginTransaction();
        try {
            $outcome = $this->load($order, $table, $plan, $numbers, $progress);
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

    public static function detectNumbers(SourceTable $table, ColumnPlan $plan): NumberFormatDetector
    {
        $numeric = array_keys(array_filter($plan->columns, static fn($field): bool => $field->type->isNumeric()));
        $detector = new NumberFormatDetector();
        foreach ($table->rows() as $cells) {
            foreach ($numeric as $cell) {
                $text = $cells[$cell] ?? '';
                if (\is_string($text) && strpbrk($text, '.,') !== false) {
                    $detector->see($text);
                }
            }
        }

        return $detector;
    }

    /** @param ?\Closure(int): void $progress */
    private function load(ImportOrder $order, SourceTable $table, ColumnPlan $plan, NumberFormatDetector $numbers, ?\Closure $progress): ImportOutcome
    {
        $loader = $this->loader($order);
        $loader->prepare();
        $badRows = new BadRows();
        [$kept, $dropped] = $this->stage($table, new RowParser($plan, $numbers->format()), $loader, $badRows, $progress);
        if ($badRows->total() > $order->allowedErrors) {
            throw ImportRefused::with($badRows);
        }
        $import = Import::query()->create([
            'study_id' => $order->study->id, 'user_id' => $order->userId, 'kind' => $order->kind, 'file_name' => $order->fileName,
            'sha256' => (string) hash_file('sha256', $order->path), 'day' => $order->day, 'rows_kept' => $kept, 'rows_dropped' => $dropped, 'rows_bad' => $badRows->total(),
            'mapping' => $plan->mapping(), 'format' => $table->format(),
        ]);
        $isSameFile = $this->supersedeSameFile($import);
        $notes = $loader->settle($import);
        if (! $order->isDryRun) {
            $this->mappings->remember($order, $table->headers());
        }
        $order->study->touchData();

        return new ImportOutcome($import->id, $kept, $dropped, $badRows, $numbers->format(), $numbers->isAmbiguous(), $isSameFile, $notes, $order->isDryRun ? $loader->changes($import) : null);
    }

    /**
     * @param ?\Closure(int): void $progress
     *
     * @return array{int, int} rows staged, rows dropped
     */
    private function stage(SourceTable $table, RowParser $parser, Loader $loader, BadRows $badRows, ?\Closure $progress): array
    {
        $writer = new CopyWriter('staged', $loader->columns());
        $read = $dropped = 0;
        foreach ($table->rows() as $line => $cells) {
            $values = $parser->parse($line, $cells);
            $staged = $values instanceof BadCell ? $values : $loader->stage($line, $values);
            if ($staged instanceof BadCell) {
                $badRows->add($staged);
            } elseif ($staged === null) {
                ++$dropped;
            } else {
                $writer->write($staged);
            }
            if ($progress !== null && ++$read % 10_000 === 0) {
                $progress($read);
            }
        }

        return [$writer->flush(), $dropped];
    }

    private function loader(ImportOrder $order): Loader
    {
        $domains = new DomainFinder($order->study, $this->suffixes);

        return match ($order->kind) {
            ImportKind::Rankings => new RankingsLoader($order, $domains),
            ImportKind::Keywords => new KeywordsLoader($order),
            ImportKind::Results => new ResultsLoader($order),
            ImportKind::Performance => new PerformanceLoader($order),
            ImportKind::Domains => new DomainsLoader($order, $domains, $this->suffixes),
        };
    }

    /** A list that is the same byte for byte takes the place of its earlier self; snapshots are replaced by their key. */
    private function supersedeSameFile(Import $import): bool
    {
        /** @var list<Import> $same */
        $same = Import::query()->where('study_id', $import->study_id)->where('kind', $import->kind)->where('sha256', $import->sha256)->where('id', '<>', $import->id)->get()->all();
        foreach ($import->kind === ImportKind::Rankings ? [] : $same as $older) {
            $older->superseded_by === null ? $older->update(['superseded_by' => $import->id]) : $this->forget->execute($older);
        }

        return $same !== [];
    }
}
