<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;

/** The text that a page says, read with libxml's HTML parser; what frames it is skipped. */
final class HtmlText
{
    public const MAX_BYTES = HtmlDocument::MAX_BYTES;

    private const BOILERPLATE = [
        'script',
        'style',
        'noscript',
        'template',
        'svg',
        'iframe',
        'nav',
        'header',
        'footer',
        'aside',
        'form',
        'button',
        'select',
    ];
    private const INLINE = ['a', 'abbr', 'b', 'cite', 'code', 'em', 'i', 'mark', 'q', 's', 'small', 'span', 'strong', 'sub', 'sup', 'u'];

    /** @throws InvalidValue when the page is larger than five million bytes */
    public static function of(string $html): string
    {
        $body = HtmlDocument::read($html)?->getElementsByTagName('body')->item(0);

        return $body === null ? '' : trim((string) preg_replace('/\s*\n\s*/', "\n", self::textOf($body)));
    }

    private static function textOf(\DOMNode $node): string
    {
        if ($node instanceof \DOMText) {
            return (string) preg_replace('/\s+/u', ' ', $node->data);
        }
        if (! $node instanceof \DOMElement || \in_array($node->nodeName, self::BOILERPLATE, true)) {
            return '';
        }
        $text = '';
        foreach ($node->childNodes as $child) {
            $text .= self::textOf($child);
        }

        return \in_array($node->nodeName, self::INLINE, true) ? $text : "\n".$text."\n";
    }
}
