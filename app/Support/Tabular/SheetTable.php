<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;
use OpenSpout\Common\Entity\Cell;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Reader\Common\Creator\ReaderEntityFactory;
use OpenSpout\Reader\ReaderInterface;
use OpenSpout\Reader\SheetInterface;

/** The first sheet with anything on it of a spreadsheet, XLSX or ODS. Of a formula the result counts that was saved with it. */
final class SheetTable implements SourceTable
{
    private const ODS_TYPE = 'application/vnd.oasis.opendocument.spreadsheet';

    /** @var list<string> */
    private readonly array $headers;

    private string $sheet = '';

    private function __construct(private readonly string $path, private readonly bool $isOds)
    {
        $records = $this->records();
        $this->headers = $records->valid() ? array_map(self::text(...), $records->current()) : throw FileProblem::empty();
    }

    /** @throws FileProblem */
    public static function open(string $path, ReadLimits $limits): self
    {
        $archive = new \ZipArchive();
        if ($archive->open($path, \ZipArchive::RDONLY) !== true) {
            throw FileProblem::damaged('spreadsheet');
        }
        $unpacked = 0;
        for ($entry = 0; $entry < $archive->numFiles; ++$entry) {
            $unpacked += $archive->statIndex($entry)['size'] ?? 0;
        }
        $limits->allowUnpacked($unpacked, (int) filesize($path));
        $isOds = str_starts_with((string) $archive->getFromName('mimetype'), self::ODS_TYPE);
        if (! $isOds && $archive->locateName('xl/workbook.xml') === false) {
            throw FileProblem::notATable('a zip archive');
        }
        $archive->close();

        return new self($path, $isOds);
    }

    public function headers(): array
    {
        return $this->headers;
    }

    public function format(): string
    {
        return ($this->isOds ? 'ODS' : 'XLSX').', sheet "'.$this->sheet.'"';
    }

    public function rows(): \Generator
    {
        $records = $this->records();
        $records->next();
        if (! $records->valid()) {
            throw FileProblem::headerOnly();
        }
        for (; $records->valid(); $records->next()) {
            yield $records->key() => array_pad($records->current(), \count($this->headers), '');
        }
    }

    /**
     * @return \Generator<int, list<string|int|float>> row number on the sheet → cells, from the header on; blank rows left out
     *
     * @throws FileProblem
     */
    private function records(): \Generator
    {
        $reader = $this->reader();
        try {
            $reader->open($this->path);
            /** @var SheetInterface $sheet */
            foreach ($reader->getSheetIterator() as $sheet) {
                $records = self::sheetRecords($sheet);
                if ($records->valid()) {
                    $this->sheet = $sheet->getName();
                    yield from $records;

                    return;
                }
            }
        } catch (\OpenSpout\Common\Exception\SpoutException|\Error) {
            throw FileProblem::damaged('spreadsheet');
        } finally {
            $reader->close();
        }
    }

    private function reader(): ReaderInterface
    {
        $reader = $this->isOds ? ReaderEntityFactory::createODSReader() : ReaderEntityFactory::createXLSXReader();
        $reader->setShouldPreserveEmptyRows(true);

        return $reader;
    }

    /** @return \Generator<int, list<string|int|float>> */
    private static function sheetRecords(SheetInterface $sheet): \Generator
    {
        $line = 0;
        /** @var Row $row */
        foreach ($sheet->getRowIterator() as $row) {
            ++$line;
            $cells = array_values(array_map(static fn(Cell $cell): string|int|float => self::plain($cell->getValue()), $row->getCells()));
            if (array_filter($cells, static fn(string|int|float $cell): bool => $cell !== '') !== []) {
                yield $line => $cells;
            }
        }
    }

    private static function plain(mixed $value): string|int|float
    {
        return match (true) {
            \is_int($value), \is_float($value), \is_string($value) => $value,
            \is_bool($value) => $value ? 'true' : 'false',
            $value instanceof \DateTimeInterface => $value->format('Y-m-d'),
            default => '',
        };
    }

    private static function text(string|int|float $cell): string
    {
        return (string) $cell;
    }
}
