<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/** Makes sure that a text file is read as UTF-8: as it is, or from a converted copy beside it. */
final class TextEncoding
{
    private const CHUNK = 1 << 20;
    private const UTF16_MARKS = ["\xFF\xFE" => 'UTF-16LE', "\xFE\xFF" => 'UTF-16BE'];
    private const MULTI_BYTE = '/[\xC2-\xDF][\x80-\xBF]|\xE0[\xA0-\xBF][\x80-\xBF]|[\xE1-\xEC\xEE\xEF][\x80-\xBF]{2}|'
        .'\xED[\x80-\x9F][\x80-\xBF]|\xF0[\x90-\xBF][\x80-\xBF]{2}|[\xF1-\xF3][\x80-\xBF]{3}|\xF4[\x80-\x8F][\x80-\xBF]{2}/';

    /**
     * Opens the file as UTF-8, placed at its beginning. Bytes that are not UTF-8 are read as Windows-1252.
     *
     * @return resource
     *
     * @throws FileProblem on NUL bytes, or valid multi-byte UTF-8 beside bytes that are not UTF-8
     */
    public static function open(string $path)
    {
        $file = fopen($path, 'rb') ?: throw new \RuntimeException('The file "'.$path.'" cannot be opened.');
        $mark = (string) fread($file, 2);
        rewind($file);
        if (isset(self::UTF16_MARKS[$mark])) {
            $file = self::converted($file, self::UTF16_MARKS[$mark], 2);
        }
        if (! self::isUtf8($file)) {
            $file = self::converted($file, 'Windows-1252', 0);
        }
        rewind($file);

        return $file;
    }

    /** @param resource $file */
    private static function isUtf8($file): bool
    {
        $line = 1;
        $firstBad = null;
        $hasMultiByte = false;
        while (($chunk = self::chunk($file)) !== '') {
            if (str_contains($chunk, "\0")) {
                throw FileProblem::nulBytes();
            }
            if (preg_match('//u', $chunk) !== 1) {
                $firstBad ??= $line + self::linesBeforeBadByte($chunk);
            }
            $hasMultiByte = $hasMultiByte || preg_match(self::MULTI_BYTE, $chunk) === 1;
            if ($firstBad !== null && $hasMultiByte) {
                throw FileProblem::mixedEncodings($firstBad);
            }
            $line += substr_count($chunk, "\n");
        }

        return $firstBad === null;
    }

    /** @param resource $file */
    private static function chunk($file): string
    {
        $chunk = (string) fread($file, self::CHUNK);

        return $chunk === '' ? '' : $chunk.fgets($file);
    }

    private static function linesBeforeBadByte(string $chunk): int
    {
        foreach (explode("\n", $chunk) as $number => $line) {
            if (preg_match('//u', $line) !== 1) {
                return $number;
            }
        }

        return 0;
    }

    /**
     * @param resource $file
     *
     * @return resource
     */
    private static function converted($file, string $from, int $skip)
    {
        $copy = tmpfile() ?: throw new \RuntimeException('Can’t create a temporary file.');
        fseek($file, $skip);
        // An even chunk never splits a UTF-16 unit; a surrogate pair at its edge is kept together below.
        while (($chunk = (string) fread($file, self::CHUNK)) !== '') {
            if ($from !== 'Windows-1252') {
                $chunk .= self::restOfPair($chunk, $from, $file);
            }
            fwrite($copy, (string) mb_convert_encoding($chunk, 'UTF-8', $from));
        }
        rewind($copy);

        return $copy;
    }

    /** @param resource $file */
    private static function restOfPair(string $chunk, string $encoding, $file): string
    {
        $high = ord($chunk[strlen($chunk) - ($encoding === 'UTF-16LE' ? 1 : 2)] ?? "\0");

        return $high >= 0xD8 && $high <= 0xDB ? (string) fread($file, 2) : '';
    }
}
