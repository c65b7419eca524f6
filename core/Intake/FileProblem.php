<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Exception\ReachException;

/** A file that cannot be read as an import at all, whatever its rows hold. */
final class FileProblem extends \RuntimeException implements ReachException
{
    private function __construct(public readonly string $problem, string $message)
    {
        parent::__construct($message);
    }

    public static function empty(): self
    {
        return new self('empty', 'The file is empty.');
    }

    public static function headerOnly(): self
    {
        return new self('header_only', 'The file has a header on line 1 but no rows below it.');
    }

    public static function nulBytes(): self
    {
        return new self('nul_bytes', 'The file holds NUL bytes, so it is not a text table. Save it as CSV in UTF-8 and try again.');
    }

    public static function mixedEncodings(int $line): self
    {
        return new self(
            'mixed_encodings',
            'The file mixes encodings: line '.$line.' is not UTF-8 while other lines are. Save it as UTF-8 and try again.',
        );
    }

    public static function notATable(string $looksLike): self
    {
        return new self(
            'not_a_table',
            'The file looks like '.$looksLike.', not a table in CSV, XLSX, ODS or JSON. Save it as one of these and try again.',
        );
    }

    public static function missingColumn(string $field, string $headers): self
    {
        return new self(
            'missing_column',
            'Line 1 has no column for "'.
                $field.
                '"; it has '.
                InvalidValue::quote($headers).
                '. Rename one, or say which it is ('.
                $field.
                '=HEADER).',
        );
    }

    public static function doubledColumn(string $field, string $first, string $second): self
    {
        return new self(
            'doubled_column',
            \sprintf(
                'Line 1 has two columns for "%s": "%s" and "%s". Rename one, or say which it is (%s=HEADER).',
                $field,
                InvalidValue::quote($first),
                InvalidValue::quote($second),
                $field,
            ),
        );
    }

    public static function unknownField(string $field, string $known): self
    {
        return new self('unknown_field', 'There is no field "'.InvalidValue::quote($field).'" in this kind of import; it has '.$known.'.');
    }

    public static function unknownHeader(string $header): self
    {
        return new self('unknown_header', 'Line 1 has no column "'.InvalidValue::quote($header).'" to map.');
    }

    /** A cell or row that no one holds in memory. */
    public static function cellTooLong(int $row, int $bytes): self
    {
        return new self(
            'record_too_long',
            \sprintf('A cell or row of the spreadsheet, after row %d, is longer than %s bytes.', $row, number_format($bytes)),
        );
    }

    public static function recordTooLong(int $line, int $bytes): self
    {
        return new self(
            'record_too_long',
            'The row that begins on line '.$line.' is longer than '.$bytes.' bytes. A quote may not be closed.',
        );
    }

    public static function unclosedQuote(int $line): self
    {
        return new self(
            'unclosed_quote',
            'Line '.$line.': a cell opens with a quote (") that never closes. Close the quote or remove it, then import the file again.',
        );
    }

    public static function noHeaderAt(int $line): self
    {
        return new self('no_header', 'Line '.$line.' is not a row of this file. Choose the row that holds the column names.');
    }

    public static function packedTooOften(int $most): self
    {
        return new self('packed_too_often', 'The file is packed with gzip more than '.$most.' times. Unpack it, then import it again.');
    }

    public static function tooManyColumns(int $line, int $most): self
    {
        return new self(
            'too_many_columns',
            \sprintf('Up to line %d the file has more than %s columns, so it can’t be a list of keywords.', $line, number_format($most)),
        );
    }

    public static function unpacksTooLarge(int $bytes): self
    {
        return new self(
            'unpacks_too_large',
            'The file is packed and would unpack to more than '.
                number_format($bytes).
                ' bytes, too much for a list. Unpack it and import the part you need.',
        );
    }

    public static function beyondTheSheet(string $what, int $named, int $most): self
    {
        return new self(
            'beyond_the_sheet',
            \sprintf(
                'The spreadsheet names a %s with the number %s; a sheet has at most %s. Save it again, or save it as CSV.',
                $what,
                number_format($named),
                number_format($most),
            ),
        );
    }

    public static function damaged(string $what): self
    {
        return new self('damaged', 'The file looks like a '.$what.' but is damaged or incomplete. Save or download it again.');
    }

    public static function notJson(int $line): self
    {
        return new self(
            'not_json',
            'The file begins like JSON, but line '.
                $line.
                ' is incomplete or not an object. Use a list of objects, or one object per line.',
        );
    }

    public static function tooLarge(int $bytes): self
    {
        return new self(
            'too_large',
            'The file is larger than '.number_format($bytes).' bytes. Compress it with gzip, or import it in parts.',
        );
    }

    public static function tooMuchWaiting(int $files, int $bytes): self
    {
        return new self(
            'too_much_waiting',
            \sprintf(
                'You have too many pending files (at most %s, with %s bytes). Import or delete some first.',
                number_format($files),
                number_format($bytes),
            ),
        );
    }

    public static function cutShort(): self
    {
        return new self('cut_short', 'Only part of the file arrived, so nothing was saved. Upload it again.');
    }

    public static function noRoom(): self
    {
        return new self('no_room', 'The disk is full, so the file wasn’t saved. Free some space and try again.');
    }
}
