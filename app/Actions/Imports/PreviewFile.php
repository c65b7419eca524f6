<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\ImportRefused;
use App\Exceptions\Refused;
use App\Support\Tabular\TextTable;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileProblem;

/** Shows what a file would bring before anything is kept: its columns, a sample, and every problem. */
final readonly class PreviewFile
{
    private const SAMPLE = 5;

    public function __construct(private ImportFile $import)
    {
    }

    /**
     * @return array<string, mixed>
     *
     * @throws FileProblem when the file is no table at all
     */
    public function execute(ImportOrder $order): array
    {
        $table = TextTable::open($order->path, config()->integer('reach.max_record'));
        $problem = $outcome = $badRows = null;
        $mapping = [];
        try {
            $mapping = ColumnPlan::match($order->kind, $table->headers, $order->mapping)->mapping();
            $outcome = $this->import->execute($order);
        } catch (ImportRefused $refused) {
            $badRows = $refused->badRows;
        } catch (FileProblem|Refused $refused) {
            $problem = $refused->getMessage();
        }

        return [
            'separator' => $table->separator,
            'headers' => $table->headers,
            'sample' => self::sample($table),
            'fields' => array_map(static fn(Field $field): array => ['name' => $field->name, 'required' => $field->isRequired], $order->kind->fields()),
            'mapping' => (object) $mapping,
            'problem' => $problem,
            'outcome' => $outcome,
            'bad_rows' => $badRows ?? $outcome?->badRows,
        ];
    }

    /** @return list<array{line: int, cells: list<string>}> */
    private static function sample(TextTable $table): array
    {
        $sample = [];
        foreach ($table->rows() as $line => $cells) {
            $sample[] = ['line' => $line, 'cells' => array_map(static fn(string $cell): string => mb_strimwidth($cell, 0, 120, '…'), $cells)];
            if (\count($sample) === self::SAMPLE) {
                break;
            }
        }

        return $sample;
    }
}
