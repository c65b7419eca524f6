<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;

/** The headings of a page, in order: what it covers. */
final class HtmlHeadings
{
    /**
     * @return list<string>
     *
     * @throws InvalidValue when the page is larger than five million bytes
     */
    public static function of(string $html): array
    {
        if (\strlen($html) > HtmlText::MAX_BYTES) {
            throw InvalidValue::because('page', substr($html, 0, 40), 'is larger than 5,000,000 bytes');
        }
        if (trim($html) === '') {
            return [];
        }
        $document = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        $document->loadHTML('<?xml encoding="UTF-8">'.mb_scrub($html, 'UTF-8'), LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $headings = [];
        foreach ((new \DOMXPath($document))->query('//h1|//h2|//h3') ?: [] as $node) {
            $headings[] = $node instanceof \DOMElement ? trim((string) preg_replace('/\s+/u', ' ', $node->textContent)) : '';
        }

        return array_values(array_filter($headings, static fn(string $heading): bool => $heading !== ''));
    }
}
