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
        $document = HtmlDocument::read($html);
        if ($document === null) {
            return [];
        }
        $headings = [];
        foreach ((new \DOMXPath($document))->query('//h1|//h2|//h3') ?: [] as $node) {
            $headings[] = $node instanceof \DOMElement ? trim((string) preg_replace('/\s+/u', ' ', $node->textContent)) : '';
        }

        return array_values(array_filter($headings, static fn(string $heading): bool => $heading !== ''));
    }
}
