<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Pulse;
use GreaterReach\Core\Intake\FileProblem;
use OpenSpout\Common\Entity\Cell;
use OpenSpout\Common\Entity\Row;
use OpenSpout\Reader\Common\Creator\ReaderEntityFactory;
use OpenSpout\Reader\ReaderInterface;
use OpenSpout\Reader\SheetInterface;

/** The first sheet with anything on it of a spreadsheet, XLSX or ODS. Of a formula the result counts that was saved with it. */
final class SheetTable implements TableFile
{
    private const ODS_TYPE = 'application/vnd.oasis.opendocument.spreadsheet';

    private const JSON = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE;

    /** @var list<string> */
    private readonly array $headers;

    private string $sheet = '';

    /** @var resource its rows, a line of JSON each: taking a spreadsheet apart is slow, so it is done once */
    private $copy;

    private function __construct(private readonly string $path, private readonly bool $isOds, ReadLimits $limits, Pulse $pulse)
    {
        $this->copy = @tmpfile() ?: throw FileProblem::noRoom();
        [$written, $packed] = [0, (int) filesize($path)];
        foreach ($this->records() as $line => $cells) {
            $text = json_encode([$line, $cells], self::JSON)."\n";
            if (\strlen($text) > $limits->record) {
                throw FileProblem::cellTooLong($line - 1, $limits->record);
            }
            $written += \strlen($text);
            $limits->allowUnpacked($written, $packed);
            if (@fwrite($this->copy, $text) !== \strlen($text)) {
                throw FileProblem::noRoom();
            }
            $pulse->beat();
        }
        $rows = $this->copied();
        $this->headers = $rows->valid() ? array_map(self::text(...), $rows->current()[1]) : throw FileProblem::empty();
        if (\count($this->headers) > self::MOST_COLUMNS) {
            throw FileProblem::tooManyColumns($rows->key(), self::MOST_COLUMNS);
        }
    }

    /** @throws FileProblem */
    public static function open(string $path, ReadLimits $limits, Pulse $pulse): self
    {
        $archive = new \ZipArchive();
        if ($archive->open($path, \ZipArchive::RDONLY) !== true) {
            throw FileProblem::damaged('spreadsheet');
        }
        $isOds = str_starts_with((string) $archive->getFromName('mimetype'), self::ODS_TYPE);
        if (! $isOds && $archive->locateName('xl/workbook.xml') === false) {
            throw FileProblem::notATable('a zip archive');
        }
        SheetEntries::check($archive, $limits, (int) filesize($path), $pulse);
        $styled = $isOds ? StyledOds::of($path, $archive) : $path;
        $archive->close();

        return new self($styled, $isOds, $limits, $pulse);
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
        $rows = $this->copied();
        $rows->next();
        if (! $rows->valid()) {
            throw FileProblem::headerOnly();
        }
        for (; $rows->valid(); $rows->next()) {
            [$line, $cells] = $rows->current();
            yield $line => array_pad($cells, \count($this->headers), '');
        }
    }

    /** @return \Generator<int, array{int, list<string|int|float>}> row number on the sheet, cells */
    private function copied(): \Generator
    {
        rewind($this->copy);
        while (($text = fgets($this->copy)) !== false) {
            /** @var array{int, list<string|int|float>} $row */
            $row = json_decode($text, true, 3, JSON_THROW_ON_ERROR);
            yield $row;
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
        } catch (FileProblem $problem) {
            throw $problem;
        } catch (\Throwable) {
            // Whatever the library stumbles over lies in the file.
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
