<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\UserError;
use App\Support\Pulse;
use App\Support\Tabular\TableFile;
use App\Support\Tabular\TableReader;
use App\Support\Tabular\TableWithHeaderRow;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileProblem;

/** Shows what a file would bring before anything is kept: its columns, a sample, and every problem. */
final readonly class PreviewFile
{
    private const SAMPLE = 5;

    public function __construct(private ImportFile $import, private TableReader $reader, private Mappings $mappings)
    {
    }

    /**
     * @param ?\Closure(int): void $progress told the number of rows read, now and then
     *
     * @return array<string, mixed>
     *
     * @throws FileProblem when the file is no table at all
     */
    public function execute(ImportOptions $order, ?\Closure $progress = null): array
    {
        $table = TableWithHeaderRow::of($this->reader->open($order->path, new Pulse($progress)), $order->headerLine);
        $problem = $outcome = $badRows = null;
        $mapping = $this->mappings->partial($order, $table->headers());
        try {
            $outcome = $this->import->execute($order, $progress);
        } catch (ImportFailed $refused) {
            $badRows = $refused->badRows;
        } catch (FileProblem|UserError $refused) {
            $problem = $refused->getMessage();
        }

        return [
            'format' => $table->format(),
            'headers' => $table->headers(),
            'sample' => self::sample($table),
            'fields' => array_map(
                static fn(Field $field): array => ['name' => $field->name, 'required' => $field->isRequired],
                $order->kind->fields(),
            ),
            'mapping' => (object) $mapping,
            'nearly' => self::nearly($order, $table->headers(), $mapping),
            'problem' => $problem,
            'outcome' => $outcome,
            'bad_rows' => $badRows ?? $outcome?->badRows,
        ];
    }

    /**
     * @param list<string>          $headers
     * @param array<string, string> $mapping
     *
     * @return list<array{header: string, field: string}>
     */
    private static function nearly(ImportOptions $order, array $headers, array $mapping): array
    {
        $nearly = ColumnPlan::nearly($order->kind, $headers, $mapping);

        return array_map(
            static fn(string $header, string $field): array => ['header' => $header, 'field' => $field],
            array_map(strval(...), array_keys($nearly)),
            array_values($nearly),
        );
    }

    /** @return list<array{line: int, cells: list<string>}> */
    private static function sample(TableFile $table): array
    {
        $sample = [];
        foreach ($table->rows() as $line => $cells) {
            $sample[] = [
                'line' => $line,
                'cells' => array_map(static fn(string|int|float $cell): string => mb_strimwidth((string) $cell, 0, 120, '…'), $cells),
            ];
            if (\count($sample) === self::SAMPLE) {
                break;
            }
        }

        return $sample;
    }
}
