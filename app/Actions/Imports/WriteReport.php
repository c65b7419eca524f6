<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\UserError;
use App\Support\Tabular\Table;
use App\Support\Tabular\TableFormat;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;

/** Writes the list of bad rows into a file: JSON with the total, or CSV with the total in a last row of its own. */
final class WriteReport
{
    public function execute(BadRows $badRows, string $path): void
    {
        $text = str_ends_with(strtolower($path), '.json')
            ? json_encode($badRows, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n"
            : $this->csv($badRows);
        if (@file_put_contents($path, $text) === false) {
            throw UserError::because(
                'report',
                sprintf('Can’t write the report "%s". Does its folder exist?', InvalidValue::quote($path)),
            );
        }
    }

    public function csv(BadRows $badRows): string
    {
        return $this->csvOf([
            'total' => $badRows->total(),
            'rows' => array_map(static fn(BadCell $row): array => $row->jsonSerialize(), $badRows->rows()),
        ]);
    }

    /**
     * @param array{total: int, rows: list<array{line: int, column: string, value: string, reason: string}>} $badRows as they are kept
     *     with a task
     * @param bool $isGuarded cells that a spreadsheet would run are guarded
     */
    public function csvOf(array $badRows, bool $isGuarded = false): string
    {
        $rows = array_map(static fn(array $row): array => [$row['line'], $row['column'], $row['value'], $row['reason']], $badRows['rows']);
        if ($badRows['total'] > BadRows::KEPT) {
            $rows[] = [null, null, null, sprintf('%d bad rows. The first %d are listed.', $badRows['total'], BadRows::KEPT)];
        }

        $table = new Table(['line', 'column', 'value', 'reason'], $rows);

        return implode('', iterator_to_array(TableFormat::Csv->write($table, $isGuarded), false));
    }
}
