<?php

declare(strict_types=1);

namespace StandIn;

/**
 * The pages of our site as a crawl finds them, and the links between them: pages of a subject link to each other, some are forgotten,
 * a few redirect or may not be indexed.
 *
 * @phpstan-import-type Row from MarketData
 * @phpstan-import-type Work from WorkedPages
 */
final readonly class OwnSite
{
    /** One page in so many. */
    private const NOT_INDEXABLE = 61;
    private const REDIRECTING = 73;

    /** Links to other pages of the subject that a page has at most. */
    private const MOST_LINKS = 5;

    /** @var array<string, list<string>> page → pages that it links to */
    private array $links;

    /** @param array<string, MarketKeyword> $keywords page → what it ranks for, at least one */
    public function __construct(private MarketDomain $domain, private array $keywords, private int $month)
    {
        $subjects = [];
        foreach ($keywords as $url => $keyword) {
            $subjects[$keyword->subject][] = $url;
        }
        $links = [];
        foreach ($subjects as $pages) {
            foreach ($pages as $place => $url) {
                $links[$url] = self::linksFrom($url, $place, $pages);
            }
        }
        $this->links = $links;
    }

    /**
     * @param list<string> $pages of its subject
     *
     * @return list<string>
     */
    private static function linksFrom(string $url, int $place, array $pages): array
    {
        $linked = [];
        for ($number = crc32("inside {$url}") % (1 + self::MOST_LINKS); $number > 0; --$number) {
            $linked[] = $pages[($place + $number * $number) % \count($pages)];
        }

        return array_values(array_diff(array_unique($linked), [$url]));
    }

    /** @return list<Row> */
    public function links(): array
    {
        $rows = [];
        foreach ($this->links as $source => $targets) {
            foreach ($targets as $target) {
                $rows[] = ['source_url' => $source, 'target_url' => $target, 'anchor' => $this->keywords[$target]->thing];
            }
        }

        return $rows;
    }

    /**
     * @param list<Row>  $links  to our pages from other sites
     * @param list<Work> $worked pages published or improved so far
     *
     * @return list<Row>
     */
    public function pages(array $links, array $worked): array
    {
        $inside = array_count_values(array_merge(...array_values($this->links)));
        $outside = [];
        foreach ($links as $link) {
            $outside[(string) $link['target_url']][(string) $link['linking_domain']] = true;
        }
        $touched = array_column($worked, 'month', 'url');

        return array_map(fn(string $url, MarketKeyword $keyword): array => [
            'url' => $url,
            'title' => PageText::title($this->domain->host, $keyword).' — '.ucwords($this->domain->name),
            'h1' => ucfirst($keyword->thing),
            'words' => 180 + crc32("words {$url}") % 1900,
            'status' => crc32("moved {$url}") % self::REDIRECTING === 0 ? 301 : 200,
            'indexable' => crc32("hidden {$url}") % self::NOT_INDEXABLE === 0 ? 'no' : 'yes',
            'published' => Calendar::day(-1 - crc32("published {$url}") % 40),
            'updated' => Calendar::day($touched[$url] ?? min($this->month, -(crc32("updated {$url}") % 3))),
            'inlinks' => $inside[$url] ?? 0,
            'referring_domains' => \count($outside[$url] ?? []),
        ], array_keys($this->keywords), $this->keywords);
    }
}
