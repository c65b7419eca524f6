<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/**
 * An ODS file as the library that reads it expects it. OpenDocument 1.3 part 3, §3.1.3.2, lets a document go without automatic styles;
 * the library does not, so an empty element is put in where there is none.
 */
final class StyledOds
{
    private const CONTENT = 'content.xml';
    private const CHUNK = 1 << 20;
    private const STYLES = 'automatic-styles';
    private const BODY = '<office:body';

    /** @return string path of the file itself, or of a copy that has the element */
    public static function of(string $path, \ZipArchive $archive): string
    {
        $stream = $archive->getStream(self::CONTENT) ?: throw FileProblem::damaged('spreadsheet');
        $start = (string) stream_get_contents($stream, self::CHUNK);
        $body = strpos($start, self::BODY);
        if ($body === false || str_contains(substr($start, 0, $body), self::STYLES)) {
            return $path;
        }
        $content = UnpackedFile::temporary();
        self::write($content, substr($start, 0, $body).'<office:automatic-styles/>'.substr($start, $body), $stream);

        return self::repack($path, $content);
    }

    /** @param resource $rest */
    private static function write(string $path, string $start, $rest): void
    {
        $file = fopen($path, 'wb') ?: throw FileProblem::noRoom();
        if (@fwrite($file, $start) !== \strlen($start) || @stream_copy_to_stream($rest, $file) === false) {
            throw FileProblem::noRoom();
        }
        fclose($file);
    }

    private static function repack(string $path, string $content): string
    {
        $copy = UnpackedFile::temporary();
        $archive = new \ZipArchive();
        if (!@copy($path, $copy) || $archive->open($copy) !== true || !$archive->addFile($content, self::CONTENT) || !$archive->close()) {
            throw FileProblem::noRoom();
        }

        return $copy;
    }
}
