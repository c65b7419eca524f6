<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;

/**
 * Reads a page with libxml's HTML parser, whatever state it is in.
 *
 * @internal
 */
final class HtmlDocument
{
    public const MAX_BYTES = 5_000_000;

    /**
     * @return ?\DOMDocument null when there is nothing in it
     *
     * @throws InvalidValue when the page is larger than five million bytes
     */
    public static function read(string $html): ?\DOMDocument
    {
        if (\strlen($html) > self::MAX_BYTES) {
            throw InvalidValue::because('page', substr($html, 0, 40), 'is larger than 5,000,000 bytes');
        }
        if (trim($html) === '') {
            return null;
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $document->loadHTML('<?xml encoding="UTF-8">'.mb_scrub($html, 'UTF-8'), LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return $document;
    }
}
