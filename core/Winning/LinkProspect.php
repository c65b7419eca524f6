<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** A site to ask for a link. */
final readonly class LinkProspect
{
    /** @param list<string> $pages of those that lead, to which it links; each once, in order */
    public function __construct(
        /** Registrable. */
        public string $domain,
        /** The largest that is said of it; null where none is. */
        public ?float $authority,
        public array $pages,
    ) {
    }

    /**
     * The sites that link to pages that lead where we want to be, and to none of ours, the most useful first: by how many of these pages
     * they link to, authority, name.
     *
     * @param iterable<array{string, string, ?float}> $links    registrable domain, URL key of the page it links to, authority
     * @param list<string>                            $pages    URL keys of the pages that lead
     * @param \Closure(string): bool                  $isOurs   whether a URL is an own page
     * @param list<string>                            $compared registrable domains that are compared; they are no prospects
     *
     * @return list<self>
     */
    public static function among(iterable $links, array $pages, \Closure $isOurs, array $compared): array
    {
        $wanted = array_flip($pages);
        $linked = $authorities = [];
        $have = array_fill_keys($compared, true);
        foreach ($links as [$domain, $url, $authority]) {
            if (isset($wanted[$url])) {
                $linked[$domain][$url] = true;
            }
            if ($isOurs($url)) {
                $have[$domain] = true;
            }
            if ($authority !== null) {
                $authorities[$domain] = max($authority, $authorities[$domain] ?? $authority);
            }
        }
        $prospects = [];
        foreach (array_diff_key($linked, $have) as $domain => $urls) {
            $reached = array_map(strval(...), array_keys($urls));
            sort($reached, SORT_STRING);
            $prospects[] = new self((string) $domain, $authorities[$domain] ?? null, $reached);
        }
        usort($prospects, self::compare(...));

        return $prospects;
    }

    private static function compare(self $one, self $other): int
    {
        return \count($other->pages) <=> \count($one->pages)
            ?: ($one->authority === null) <=> ($other->authority === null)
            ?: $other->authority <=> $one->authority
            ?: strcmp($one->domain, $other->domain);
    }
}
