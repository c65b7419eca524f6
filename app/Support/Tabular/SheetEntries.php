<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Pulse;
use GreaterReach\Core\Intake\FileProblem;

/**
 * Looks through the parts of a spreadsheet before anything is made of them, as they come out of the archive: what its list of contents
 * says of their sizes may be untrue, a row or column beyond what a sheet can have (ECMA-376 and OpenDocument programs: 1,048,576 rows,
 * 16,384 columns) would be filled up to by anyone who reads it, and a row is held in memory whole.
 */
final class SheetEntries
{
    public const MOST_ROWS = 1_048_576;
    public const MOST_COLUMNS = 16_384;
    private const CHUNK = 1 << 18;

    /** Bytes of a row with its tags, to each byte that it may hold. */
    private const TAGS = 2;

    /** Where a sheet, a row or a text that cells share begins. */
    private const PIECES = '/(?=<(?:\w+:)?(?:row|si|table-row|table)[\s\/>])/';
    private const TABLE = '/^<(?:\w+:)?table[\s\/>]/';
    private const ROW = '/^<(?:\w+:)?(?:table-)?row[\s\/>]/';
    private const CELLS = '/<(?:\w+:)?(?:c|(?:covered-)?table-cell)[\s\/>]/';
    private const REPEATED = '/number-columns-repeated="(\d{1,18})/';
    private const ROW_NUMBER = '/^<(?:\w+:)?row\b[^>]*?\sr="(\d{1,18})/';
    private const REPEATED_ROW = '/^<[^>]*?number-rows-repeated="(\d{1,18})/';

    /** Letters of a column beyond the last one, XFD. */
    private const LETTERS = '/<(?:\w+:)?c\b[^>]*?\sr="((?:[A-Z]{4,}|XF[E-Z]|X[G-Z][A-Z]|[YZ][A-Z]{2}))\d/';

    private int $unpacked = 0;

    /** Rows of the present sheet, those that are skipped too. */
    private int $rows = 0;

    private int $lastRow = 0;

    private function __construct(private readonly \ZipArchive $archive, private readonly ReadLimits $limits, private readonly int $packed)
    {
    }

    /**
     * @param int $packed bytes of the archive
     *
     * @throws FileProblem when something lies outside, or is larger than a list can be
     */
    public static function check(\ZipArchive $archive, ReadLimits $limits, int $packed, Pulse $pulse): void
    {
        $entries = new self($archive, $limits, $packed);
        for ($entry = 0; $entry < $archive->numFiles; ++$entry) {
            $name = (string) $archive->getNameIndex($entry);
            if (preg_match('~\.(?:xml|rels)$~Di', $name) === 1) {
                $entries->checkEntry($entry, $pulse);
            }
        }
    }

    private function checkEntry(int $entry, Pulse $pulse): void
    {
        $stream = $this->archive->getStreamIndex($entry) ?: throw FileProblem::damaged('spreadsheet');
        $this->rows = $this->lastRow = 0;
        $rest = '';
        while (($chunk = (string) @fread($stream, self::CHUNK)) !== '') {
            $this->unpacked += \strlen($chunk);
            $this->limits->allowUnpacked($this->unpacked, $this->packed);
            $pieces = preg_split(self::PIECES, $rest.$chunk) ?: throw FileProblem::damaged('spreadsheet');
            // What is cut in two is looked at with the next chunk.
            $rest = (string) array_pop($pieces);
            array_walk($pieces, $this->checkPiece(...));
            $this->checkLength($rest);
            $pulse->beat();
        }
        $this->checkPiece($rest);
        fclose($stream);
    }

    private function checkPiece(string $piece): void
    {
        $this->checkLength($piece);
        if (preg_match(self::TABLE, $piece) === 1) {
            $this->rows = $this->lastRow = 0;
        } elseif (preg_match(self::ROW, $piece) === 1) {
            $this->checkRows($piece);
            $this->checkColumns($piece);
        }
    }

    /** @throws FileProblem */
    private function checkLength(string $piece): void
    {
        if (\strlen($piece) > self::TAGS * $this->limits->record) {
            throw FileProblem::cellTooLong($this->rows, $this->limits->record);
        }
    }

    private function checkRows(string $piece): void
    {
        if (preg_match(self::ROW_NUMBER, $piece, $found) === 1) {
            $this->rows += max(0, (int) $found[1] - $this->lastRow);
            $this->lastRow = (int) $found[1];
        } else {
            $this->rows += preg_match(self::REPEATED_ROW, $piece, $found) === 1 ? (int) $found[1] : 1;
            ++$this->lastRow;
        }
        if ($this->rows > self::MOST_ROWS) {
            throw FileProblem::beyondTheSheet('row', $this->rows, self::MOST_ROWS);
        }
    }

    private function checkColumns(string $piece): void
    {
        if (preg_match(self::LETTERS, $piece, $found) === 1) {
            throw FileProblem::beyondTheSheet('column', self::number($found[1]), self::MOST_COLUMNS);
        }
        $columns = (int) preg_match_all(self::CELLS, $piece);
        if (preg_match_all(self::REPEATED, $piece, $found) > 0) {
            $columns += (int) array_sum($found[1]) - \count($found[1]);
        }
        if ($columns > self::MOST_COLUMNS) {
            throw FileProblem::beyondTheSheet('column', $columns, self::MOST_COLUMNS);
        }
    }

    /** The number of a column by its letters, A as 1; at most a billion. */
    private static function number(string $letters): int
    {
        $number = 0;
        foreach (str_split(substr($letters, 0, 6)) as $letter) {
            $number = 26 * $number + \ord($letter) - 64;
        }

        return $number;
    }
}
