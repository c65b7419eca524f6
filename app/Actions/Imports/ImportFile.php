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
    public function __construct(private PublicSuffixList $suffixes, private TableReader $reader)
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
        $plan = ColumnPlan::match($order->kind, $table->headers(), $order->mapping);
        if ($order->kind === ImportKind::Rankings && $order->domain === null && ! $plan->has('domain')) {
            throw Refused::because('domain', 'A rankings file needs a domain: give --domain, or a column "domain".');
        }
        $numbers = self::detectNumbers($table, $plan);
        DB::beginTransaction();
        try {
            $outcome = $this->load($order, $table, $plan, $numbers, $progress);
            $order->isDryRun ? DB::rollBack() : DB::commit();
        } catch (\Throwable $error) {
            DB::rollBack();
            throw $error;
        }

        return $outcome;
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
        $sha256 = (string) hash_file('sha256', $order->path);
        $isSameFile = $this->forgetSameFile($order, $sha256);
        $import = Import::query()->create([
            'study_id' => $order->study->id, 'user_id' => $order->userId, 'kind' => $order->kind, 'file_name' => $order->fileName,
            'sha256' => $sha256, 'day' => $order->day, 'rows_kept' => $kept, 'rows_dropped' => $dropped, 'rows_bad' => $badRows->total(),
            'mapping' => $plan->mapping(),
        ]);
        $notes = $loader->settle($import);
        $order->study->touchData();

        return new ImportOutcome($import->id, $kept, $dropped, $badRows, $numbers->format(), $numbers->isAmbiguous(), $isSameFile, $notes);
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
    private function forgetSameFile(ImportOrder $order, string $sha256): bool
    {
        $same = Import::query()->where('study_id', $order->study->id)->where('kind', $order->kind)->where('sha256', $sha256)->get();
        if ($order->kind !== ImportKind::Rankings) {
            foreach ($same as $import) {
                DB::delete('DELETE FROM metrics WHERE study_id = ? AND source_id IN (SELECT id FROM sources WHERE import_id = ?)', [$order->study->id, $import->id]);
                DB::table('results')->where('study_id', $order->study->id)->where('import_id', $import->id)->delete();
                DB::table('performance')->where('study_id', $order->study->id)->where('import_id', $import->id)->delete();
                $import->delete();
            }
        }

        return $same->isNotEmpty();
    }
}
