<?php

declare(strict_types=1);

namespace App\Http\Responses;

use App\Support\Tabular\Table;
use App\Support\Tabular\TableFormat;
use App\Support\Tabular\XlsxFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A table as a file that the browser saves, read while it is written. */
final class TableDownload
{
    /**
     * @param string $format    `csv`, `json` or `xlsx`
     * @param string $name      of the file
     * @param bool   $isGuarded text cells that a spreadsheet would run are guarded in CSV
     */
    public static function of(Table $table, string $format, string $name, bool $isGuarded): StreamedResponse
    {
        $write =
            $format === 'xlsx'
                ? self::xlsx($table)
                : static function () use ($table, $format, $isGuarded): void {
                    foreach (TableFormat::from($format)->write($table, $isGuarded) as $piece) {
                        echo $piece;
                    }
                };

        return response()->streamDownload(static function () use ($write): void {
            DB::transaction(static function () use ($write): void {
                $write();
            });
        }, $name, [
            'Content-Type' => $format === 'xlsx' ? XlsxFile::MIME : TableFormat::from($format)->mime(),
        ]);
    }

    private static function xlsx(Table $table): \Closure
    {
        return static function () use ($table): void {
            $path = (string) tempnam(sys_get_temp_dir(), 'reach');
            try {
                (new XlsxFile())->write($table, $path);
                readfile($path);
            } finally {
                unlink($path);
            }
        };
    }
}
