<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/**
 * Looks through the sheets of a spreadsheet before anything is made of them: a row or column beyond what a sheet can have
 * (ECMA-376 and OpenDocument programs: 1,048,576 rows, 16,384 columns) would be filled up to by whoever reads it.
 */
final readonly class SheetEntries
{
    public const MOST_ROWS = 1_048_576;
    public const MOST_COLUMNS = 16_384;
    private const CHUNK = 1 << 18;

    /** What a number in a sheet stands for. */
    private const NUMBERS = [
        '/<(?:\w+:)?row\b[^>]*?\sr="(\d{1,18})/' => ['row', self::MOST_ROWS],
        '/number-rows-repeated="(\d{1,18})/' => ['row', self::MOST_ROWS],
        '/number-columns-repeated="(\d{1,18})/' => ['column', self::MOST_COLUMNS],
    ];

    /** Letters of a column beyond the last one, XFD. */
    private const LETTERS = '/<(?:\w+:)?c\b[^>]*?\sr="((?:[A-Z]{4,}|XF[E-Z]|X[G-Z][A-Z]|[YZ][A-Z]{2}))\d/';

    /** @throws FileProblem when something lies outside */
    public static function check(\ZipArchive $archive): void
    {
        for ($entry = 0; $entry < $archive->numFiles; ++$entry) {
            $name = (string) $archive->getNameIndex($entry);
            if ($name === 'content.xml' || preg_match('~^xl/worksheets/[^/]+\.xml$~D', $name) === 1) {
                self::checkEntry($archive, $name);
            }
        }
    }

    private static function checkEntry(\ZipArchive $archive, string $name): void
    {
        $stream = $archive->getStream($name) ?: throw FileProblem::damaged('spreadsheet');
        $rest = '';
        while (($chunk = (string) fread($stream, self::CHUNK)) !== '') {
            $text = $rest.$chunk;
            // A tag that is cut in two is looked at with the next piece.
            $end = strrpos($text, '<');
            $rest = $end === false || \strlen($text) - $end > self::CHUNK ? '' : substr($text, $end);
            self::checkText($text);
        }
        fclose($stream);
    }

    private static function checkText(string $text): void
    {
        foreach (self::NUMBERS as $pattern => [$what, $most]) {
            preg_match_all($pattern, $text, $found);
            $largest = max([0, ...array_map(intval(...), $found[1])]);
            if ($largest > $most) {
                throw FileProblem::beyondTheSheet($what, $largest, $most);
            }
        }
        if (preg_match(self::LETTERS, $text, $found) === 1) {
            throw FileProblem::beyondTheSheet('column', self::number($found[1]), self::MOST_COLUMNS);
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
