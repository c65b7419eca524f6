<?php

declare(strict_types=1);

namespace StandIn;

/** Writes the pages of the made-up domains: a shop page or a guide about one thing, with what people ask about it. */
final class PageText
{
    private const SENTENCES = [
        'A %s earns its place in the apiary when it is easy to lift, easy to clean and easy to mend.',
        'Before you choose a %s, look at how many colonies you keep and where you store your equipment in winter.',
        'We have used the same %s for four seasons, through a wet spring and a long heather flow.',
        'Most beginners buy a %s too early; borrow one for the first inspections and see what suits your hands.',
        'Clean every %s with washing soda after the last inspection, and let it dry in the sun.',
    ];

    /** Some pages bear a title that says nothing to a searcher. */
    public static function isDull(string $host, MarketKeyword $keyword): bool
    {
        return $keyword->brandOf === '' && crc32("dull {$host} {$keyword->pageKey()}") % 9 === 0;
    }

    public static function title(string $host, MarketKeyword $keyword): string
    {
        $thing = ucfirst($keyword->thing);
        if (self::isDull($host, $keyword)) {
            return ($keyword->page === 'shop' ? 'Item ' : 'Article ').crc32($keyword->pageKey()) % 9000;
        }

        return $keyword->page === 'shop' || $keyword->brandOf !== '' ? $thing : $thing.': a guide for beekeepers';
    }

    /** @param list<MarketKeyword> $siblings keywords about the same thing */
    public static function html(MarketDomain $domain, MarketKeyword $keyword, array $siblings): string
    {
        $thing = htmlspecialchars($keyword->thing, ENT_QUOTES | ENT_HTML5);
        $name = htmlspecialchars(ucwords($domain->name), ENT_QUOTES | ENT_HTML5);
        $headings = \array_slice(
            array_values(
                array_filter(
                    $siblings,
                    static fn(MarketKeyword $sibling): bool => $sibling->page === $keyword->page &&
                        crc32($domain->host.$sibling->text) % 3 !== 0,
                ),
            ),
            0,
            7,
        );
        $sections = implode(
            "\n",
            array_map(static fn(MarketKeyword $sibling): string => self::section($sibling, $keyword->thing), $headings),
        );
        $heading = ucfirst($thing);
        $title = htmlspecialchars(self::title($domain->host, $keyword), ENT_QUOTES | ENT_HTML5);

        return <<<HTML
            <!doctype html>
            <html lang="en"><head><meta charset="utf-8"><title>{$title} — {$name}</title></head>
            <body><nav><a href="/">{$name}</a> <a href="/basket">Basket</a></nav>
            <main><h1>{$heading}</h1>
            {$sections}
            </main><footer>© {$name}. All prices include delivery.</footer></body></html>
            HTML;
    }

    private static function section(MarketKeyword $keyword, string $thing): string
    {
        $heading = htmlspecialchars(ucfirst($keyword->text), ENT_QUOTES | ENT_HTML5);
        $from = crc32($keyword->text);
        $text = implode(
            ' ',
            array_map(
                static fn(int $step): string => sprintf(
                    self::SENTENCES[($from + $step) % \count(self::SENTENCES)],
                    htmlspecialchars($thing, ENT_QUOTES | ENT_HTML5),
                ),
                [0, 1],
            ),
        );

        return "<section><h2>{$heading}</h2><p>{$text}</p></section>";
    }
}
