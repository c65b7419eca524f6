<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use App\Support\Pulse;
use GreaterReach\Core\Intake\FileProblem;

/** Opens a table in whatever form it comes, told by its content and never by its name. */
final readonly class TableReader
{
    private const GZIP = "\x1F\x8B";
    private const ZIP = "PK\x03\x04";
    private const SNIFFED = 4096;
    private const GZIP_LAYERS = 2;
    private const LARGE_PACKED = 2 << 20;

    /** @var array<string, string> first bytes → what the file then is */
    private const REFUSED = [
        '%PDF' => 'a PDF',
        "\xD0\xCF\x11\xE0" => 'an old binary spreadsheet; save it as XLSX',
        '<' => 'HTML or XML',
    ];

    public function __construct(private ReadLimits $limits)
    {
    }

    /** Whether the file is packed and so large that opening it takes longer than a request may last. */
    public function isSlowToOpen(string $path): bool
    {
        $start = self::start($path);

        return filesize($path) > self::LARGE_PACKED && (str_starts_with($start, self::GZIP) || str_starts_with($start, self::ZIP));
    }

    /**
     * @param Pulse $pulse beaten while it is looked through, which for a large file takes a while
     *
     * @throws FileProblem when it is no table that can be read
     */
    public function open(string $path, Pulse $pulse = new Pulse()): TableFile
    {
        $packed = (int) filesize($path);
        for ($layer = 0; str_starts_with($start = self::start($path), self::GZIP); ++$layer) {
            if ($layer === self::GZIP_LAYERS) {
                throw FileProblem::packedTooOften(self::GZIP_LAYERS);
            }
            $path = UnpackedFile::gzip($path, $this->limits, $pulse, $packed)->path;
        }
        if (str_starts_with($start, self::ZIP)) {
            return SheetTable::open($path, $this->limits, $pulse);
        }
        foreach (self::REFUSED as $bytes => $format) {
            if (str_starts_with(ltrim($start), (string) $bytes)) {
                throw FileProblem::notATable($format);
            }
        }

        return self::isJson($start)
            ? JsonTable::open($path, $this->limits->record, $pulse)
            : TextTable::open($path, $this->limits->record);
    }

    private static function start(string $path): string
    {
        return (string) file_get_contents($path, false, null, 0, self::SNIFFED);
    }

    /** An object, or a list that holds objects; a text table may well begin with a bracket, too. */
    private static function isJson(string $start): bool
    {
        $text = str_replace("\0", '', ltrim($start, "\xFF\xFE\xEF\xBB\xBF \t\r\n\0"));

        return preg_match('/^(?:\[\s*)?\{\s*(?:"|\}|$)/D', $text) === 1 || preg_match('/^\[\s*(?:\]|$)/D', $text) === 1;
    }
}
