<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Bench\PageOneQuery;
use App\Actions\Plans\BriefQuery;
use ZipArchive;

/**
 * A brief as an OpenDocument text (ODF 1.2, OASIS 2011): a zip whose first entry is its media type, stored plainly.
 *
 * @phpstan-import-type Brief from BriefQuery
 * @phpstan-import-type ShownResult from PageOneQuery
 */
final class BriefOdt
{
    public const MIME = 'application/vnd.oasis.opendocument.text';
    private const OFFICE = 'urn:oasis:names:tc:opendocument:xmlns:office:1.0';
    private const TEXT = 'urn:oasis:names:tc:opendocument:xmlns:text:1.0';
    private const TABLE = 'urn:oasis:names:tc:opendocument:xmlns:table:1.0';
    private const MANIFEST = 'urn:oasis:names:tc:opendocument:xmlns:manifest:1.0';

    private readonly \DOMElement $body;

    private function __construct(private readonly \DOMDocument $document)
    {
        $root = $document->appendChild($document->createElementNS(self::OFFICE, 'office:document-content'));
        \assert($root instanceof \DOMElement);
        $root->setAttributeNS(self::OFFICE, 'office:version', '1.2');
        $body = $root->appendChild($document->createElementNS(self::OFFICE, 'office:body'));
        $text = $body->appendChild($document->createElementNS(self::OFFICE, 'office:text'));
        \assert($text instanceof \DOMElement);
        $this->body = $text;
    }

    /**
     * @param Brief $brief as BriefQuery gives it
     *
     * @return string the bytes of the file
     */
    public static function bytes(array $brief): string
    {
        $odt = new self(new \DOMDocument('1.0', 'UTF-8'));
        $odt->write($brief);

        return self::zipped((string) $odt->document->saveXML());
    }

    /** @param Brief $brief */
    private function write(array $brief): void
    {
        $this->heading(1, (string) $brief['item']['name']);
        $facts = BriefText::of($brief);
        $this->table([], array_map(null, array_keys($facts), array_values($facts)));
        foreach (BriefText::written($brief) as $heading => $text) {
            $this->heading(2, $heading);
            array_map($this->paragraph(...), explode("\n", str_replace("\r", '', $text)));
        }
        $this->keywords($brief);
        foreach (BriefText::sections($brief) as $heading => $lines) {
            $this->heading(2, $heading);
            array_map($this->paragraph(...), $lines);
        }
        if ($brief['page_one'] !== []) {
            $this->pageOne($brief['page_one']);
        }
    }

    /** @param Brief $brief */
    private function keywords(array $brief): void
    {
        $this->heading(2, 'Keywords');
        $this->paragraph('Most visits from: '.$brief['traffic_leader']);
        $this->table(
            ['keyword', 'volume', 'we', 'our page for it'],
            array_map(
                static fn(array $keyword): array => [
                    $keyword['keyword'],
                    (string) ($keyword['volume'] ?? '·'),
                    (string) ($keyword['own_position'] ?? '·'),
                    $keyword['own_url'] ?? '·',
                ],
                $brief['keywords'],
            ),
        );
    }

    /** @param list<ShownResult> $results */
    private function pageOne(array $results): void
    {
        $this->heading(2, 'Page one');
        $this->table(
            ['position', 'page', 'strength', 'referring domains'],
            array_map(
                static fn(array $result): array => [
                    (string) $result['position'],
                    (string) $result['url'],
                    (string) ($result['page_strength'] ?? '·'),
                    (string) ($result['referring_domains'] ?? '·'),
                ],
                $results,
            ),
        );
    }

    private function heading(int $level, string $text): void
    {
        $heading = $this->element($this->body, self::TEXT, 'text:h', $text);
        $heading->setAttributeNS(self::TEXT, 'text:outline-level', (string) $level);
    }

    private function paragraph(string $text): void
    {
        $this->element($this->body, self::TEXT, 'text:p', $text);
    }

    /**
     * @param list<string>                $headings none for a table without
     * @param list<list<?string>> $rows
     */
    private function table(array $headings, array $rows): void
    {
        $width = \count($headings === [] ? $rows[0] ?? [''] : $headings);
        $table = $this->element($this->body, self::TABLE, 'table:table');
        $this->element($table, self::TABLE, 'table:table-column')->setAttributeNS(
            self::TABLE,
            'table:number-columns-repeated',
            (string) $width,
        );
        foreach ($headings === [] ? $rows : [$headings, ...$rows] as $cells) {
            $row = $this->element($table, self::TABLE, 'table:table-row');
            foreach ($cells as $cell) {
                $this->element($this->element($row, self::TABLE, 'table:table-cell'), self::TEXT, 'text:p', (string) $cell);
            }
        }
    }

    private function element(\DOMElement $parent, string $namespace, string $name, string $text = ''): \DOMElement
    {
        $element = $this->document->createElementNS($namespace, $name);
        // Control characters have no place in XML.
        $element->appendChild($this->document->createTextNode((string) preg_replace('/[^\P{C}\t\n]/u', '', $text)));
        $parent->appendChild($element);

        return $element;
    }

    private static function zipped(string $content): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'brief');
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::OVERWRITE);
        $zip->addFromString('mimetype', self::MIME);
        $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $zip->addFromString('content.xml', $content);
        $zip->addFromString(
            'META-INF/manifest.xml',
            '<?xml version="1.0" encoding="UTF-8"?><manifest:manifest xmlns:manifest="'.
                self::MANIFEST.
                '" manifest:version="1.2"><manifest:file-entry manifest:full-path="/" manifest:media-type="'.
                self::MIME.
                '"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>',
        );
        $zip->close();
        try {
            return (string) file_get_contents($path);
        } finally {
            unlink($path);
        }
    }
}
