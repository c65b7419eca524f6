<?php

declare(strict_types=1);

namespace StandIn;

/** Writes plain rows into a text table. */
final class CsvFile
{
    /**
     * @param list<string>                     $header
     * @param iterable<list<string|int|float>> $rows
     */
    public static function write(string $path, array $header, iterable $rows): void
    {
        $file = fopen($path, 'wb') ?: throw new \RuntimeException('The file "'.$path.'" cannot be written.');
        fwrite($file, implode(',', $header)."\n");
        foreach ($rows as $row) {
            if (fwrite($file, implode(',', $row)."\n") === false) {
                throw new \RuntimeException('The file "'.$path.'" cannot be written to its end.');
            }
        }
        fclose($file);
    }
}
