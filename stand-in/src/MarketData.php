<?php

declare(strict_types=1);

namespace StandIn;

/**
 * What a data provider knows of the made-up market: rankings by domain and month, figures about keywords and domains,
 * page one, related keywords, our clicks, and the pages themselves.
 *
 * @phpstan-type Row array<string, string|int|float|null>
 */
final class MarketData
{
    private const SEED = 2056;
    private const PAGE_ONE = 10;
    private const LINKING_SITES = 240;
    private const LINKING_NAMES = ['skep-society', 'allotment-notes', 'village-hall', 'meadow-diary', 'orchard-club'];

    /** Places below are not measured. */
    private const MEASURED_UP_TO = 40;

    /** Clicks that a dull title leaves. */
    private const DULL_SHARE = .45;

    private readonly Market $market;
    private readonly Noise $noise;
    private readonly Neighbours $neighbours;

    /** @var array<string, MarketKeyword> */
    private array $byText = [];

    /** @var array<int, array<string, array<string, array{position: int, url: string}>>> the month that was asked for last */
    private array $months = [];

    /** @param list<string> $subjects of the vocabulary; empty takes all */
    public function __construct(
        private readonly MonthStore $store,
        private readonly array $subjects = [],
        private readonly int $seed = self::SEED,
    ) {
        $this->market = new Market($seed, $subjects);
        $this->noise = new Noise($seed);
        $this->neighbours = new Neighbours($this->noise);
        foreach ($store->keywords($this->seed.implode('-', $subjects), $this->market->keywords(...)) as $keyword) {
            $this->byText[$keyword->text] = $keyword;
        }
    }

    public function domain(string $host): ?MarketDomain
    {
        foreach (Market::domains() as $domain) {
            if ($domain->host === $host) {
                return $domain;
            }
        }

        return null;
    }

    /** @return list<Row> keyword, position, url, volume, features; a second page of the same site where two serve one thing */
    public function rankings(string $host, int $month): array
    {
        $rows = [];
        foreach ($this->held($host, $month) as $text => $ranking) {
            $keyword = $this->byText[$text];
            $features = implode('; ', $this->features($keyword));
            $rows[] = [
                'keyword' => $keyword->text,
                'position' => $ranking['position'],
                'url' => $ranking['url'],
                'volume' => $keyword->volume,
                'features' => $features,
            ];
            if ($this->hasSecondPage($host, $keyword)) {
                $rows[] = [
                    'keyword' => $keyword->text,
                    'position' => min(100, $ranking['position'] + 6 + (crc32($keyword->text) % 9)),
                    'url' => 'https://'.$host.'/journal/'.self::slug($keyword->thing),
                    'volume' => $keyword->volume,
                    'features' => $features,
                ];
            }
        }

        return $rows;
    }

    /** @return list<Row> where a domain advertises */
    public function paid(string $host): array
    {
        $rows = [];
        foreach ($this->byText as $keyword) {
            $draw = crc32('paid '.$host.$keyword->text) % 100;
            if ($keyword->cpc !== null && $keyword->page === 'shop' && $draw < 9 && ($this->domain($host)->authority ?? 0) > 30) {
                $rows[] = ['keyword' => $keyword->text, 'position' => 1 + $draw % 4, 'url' => Market::url($host, $keyword)];
            }
        }

        return $rows;
    }

    /**
     * @param list<string> $texts
     *
     * @return list<Row> keyword, volume, difficulty, cpc, advertiser_competition, m1…m12; unknown keywords are left out
     */
    public function metrics(array $texts): array
    {
        $rows = [];
        foreach ($texts as $text) {
            $keyword = $this->byText[$text] ?? null;
            if ($keyword !== null) {
                $months = array_combine(array_map(static fn(int $month): string => 'm'.$month, range(1, 12)), $keyword->monthly);
                $rows[] = [
                    'keyword' => $keyword->text,
                    'volume' => $keyword->volume,
                    'difficulty' => $keyword->isRated ? $keyword->difficulty : null,
                    'cpc' => $keyword->cpc,
                    'advertiser_competition' => $keyword->advertiserCompetition,
                    ...$months,
                ];
            }
        }

        return $rows;
    }

    /**
     * @param list<string> $texts
     *
     * @return list<Row> the ten results of page one of each
     */
    public function results(array $texts, int $month): array
    {
        $rows = [];
        foreach ($texts as $text) {
            if (isset($this->byText[$text])) {
                array_push($rows, ...$this->pageOne($this->byText[$text], $month));
            }
        }

        return $rows;
    }

    /**
     * What our own measuring would show: searches by season, clicks drawn from the hidden curve, fewer where a feature of the results page
     * answers or where our title says little.
     *
     * @return list<Row> query, page, clicks, impressions, position
     */
    public function performance(string $host, int $month): array
    {
        $rows = [];
        foreach ($this->held($host, $month) as $text => $ranking) {
            $keyword = $this->byText[$text];
            if ($ranking['position'] <= self::MEASURED_UP_TO) {
                $searches = $keyword->monthly[Calendar::inYear($month)];
                $seen = (int) round($searches * ($ranking['position'] <= 10 ? .95 : .3));
                $rate = Market::hiddenCtr($ranking['position']) * Features::shareLeft($this->features($keyword)) * (
                    PageText::isDull($host, $keyword) ? self::DULL_SHARE : 1
                );
                $deviation = sqrt($seen * $rate * (1 - $rate)) * $this->noise->normal("clicks {$text} {$month}");
                $rows[] = [
                    'query' => $keyword->text,
                    'page' => $ranking['url'],
                    'clicks' => max(0, min($seen, (int) round($seen * $rate + $deviation))),
                    'impressions' => $seen,
                    'position' => round(max(1, $ranking['position'] + ((crc32($keyword->text) % 9) - 4) / 10), 1),
                ];
            }
        }

        return $rows;
    }

    /** @return list<Row> month, kind, page, keyword, url: what was published of ours up to a month, the earliest first */
    public function publications(string $host, int $month): array
    {
        return $host !== Market::OURS ? [] : array_map(
            static fn(array $work): array => ['day' => Calendar::day($work['month']), ...array_diff_key($work, ['month' => 0])],
            $this->market->worked()->upTo($month),
        );
    }

    /**
     * Who links to the pages of a domain that rank: small sites of the trade and of villages, more of them to a stronger domain, some to
     * several competitors.
     *
     * @return list<Row> linking_domain, target_url, authority of who links, anchor
     */
    public function links(string $host, int $month): array
    {
        $authority = (int) ($this->domain($host)->authority ?? 0);
        $anchors = [];
        foreach ($this->rankings($host, $month) as $row) {
            $anchors[(string) $row['url']] ??= (string) $row['keyword'];
        }
        $rows = [];
        foreach ($anchors as $url => $anchor) {
            for ($number = crc32("links {$url}") % (1 + intdiv($authority, 5)); $number > 0; --$number) {
                $site = crc32("who links {$number} ".self::slug($anchor)) % self::LINKING_SITES;
                $rows[] = [
                    'linking_domain' => self::LINKING_NAMES[$site % \count(self::LINKING_NAMES)]."-{$site}.example",
                    'target_url' => $url,
                    'authority' => 4 + crc32("authority {$site}") % 52,
                    'anchor' => $anchor,
                ];
            }
        }

        return $rows;
    }

    /** @return list<Row> url, title, h1, words, status, indexable, published, updated, inlinks, referring_domains: our pages that rank */
    public function pages(string $host, int $month): array
    {
        $facts = $this->siteOf($host, $month);

        return $facts === null ? [] : $facts->pages($this->links($host, $month), $this->market->worked()->upTo($month));
    }

    /** @return list<Row> source_url, target_url, anchor: which of our pages links to which */
    public function pageLinks(string $host, int $month): array
    {
        return $this->siteOf($host, $month)?->links() ?? [];
    }

    /** A provider crawls the pages of its customer. */
    private function siteOf(string $host, int $month): ?OwnSite
    {
        $domain = $this->domain($host);
        if ($domain === null || $host !== Market::OURS) {
            return null;
        }
        $keywords = [];
        foreach ($this->rankings($host, $month) as $row) {
            $keywords[(string) $row['url']] ??= $this->byText[(string) $row['keyword']];
        }

        return new OwnSite($domain, $keywords, $month);
    }

    /** @return list<Row> keywords about the same thing, with the question words marked */
    public function related(string $text): array
    {
        $things = array_unique(
            array_map(
                static fn(MarketKeyword $keyword): string => $keyword->thing,
                array_filter(
                    $this->byText,
                    static fn(MarketKeyword $keyword): bool => $keyword->text === $text ||
                        str_contains($text, $keyword->thing) ||
                        str_contains($keyword->thing, $text),
                ),
            ),
        );
        $found = array_filter(
            $this->byText,
            static fn(MarketKeyword $keyword): bool => \in_array($keyword->thing, $things, true) && $keyword->text !== $text,
        );

        return array_values(
            array_map(
                static fn(MarketKeyword $keyword): array => [
                    'keyword' => $keyword->text,
                    'volume' => $keyword->volume,
                    'difficulty' => $keyword->isRated ? $keyword->difficulty : null,
                    'is_question' => (int) preg_match('/^(how|what|why|when|which|who|where)\b/', $keyword->text),
                ],
                $found,
            ),
        );
    }

    /** @return list<Row> domains that rank for what this one ranks for: in common, theirs that it lacks, its own that they lack */
    public function competitors(string $host, int $month): array
    {
        $rows = [];
        $own = $this->held($host, $month);
        foreach (Market::domains() as $domain) {
            $theirs = $this->held($domain->host, $month);
            $common = \count(array_intersect_key($own, $theirs));
            if ($domain->host !== $host && $common > 0) {
                $rows[] = [
                    'domain' => $domain->host,
                    'common' => $common,
                    'theirs' => \count($theirs) - $common,
                    'ours' => \count($own) - $common,
                    'authority' => $domain->authority,
                    'referring_domains' => $domain->referringDomains,
                ];
            }
        }

        return $rows;
    }

    /** A page of a domain as HTML, or null where it has none. */
    public function page(string $url): ?string
    {
        $domain = $this->domain((string) parse_url($url, PHP_URL_HOST));
        if ($domain === null) {
            return null;
        }
        foreach ($this->byText as $keyword) {
            if (Market::url($domain->host, $keyword) === $url) {
                return PageText::html(
                    $domain,
                    $keyword,
                    array_values(
                        array_filter($this->byText, static fn(MarketKeyword $other): bool => $other->thing === $keyword->thing),
                    ),
                );
            }
        }

        return null;
    }

    /** @return array<string, array{position: int, url: string}> keyword → the best ranking of one host, read by itself */
    private function held(string $host, int $month): array
    {
        $places = $this->store->month(
            $this->seed.implode('-', $this->subjects).'-'.$host,
            $month,
            fn(): array => array_map(
                static fn(array $all): array => [$host => $all[$host]],
                array_filter($this->month($month), static fn(array $all): bool => isset($all[$host])),
            ),
        );

        return array_map(static fn(array $one): array => $one[$host], $places);
    }

    /** Draws every month that can be asked for on a day, and counts them. */
    public function makeReady(string $today): int
    {
        $days = Calendar::days($today);
        foreach ($days as $day) {
            foreach (Market::domains() as $domain) {
                $this->held($domain->host, Calendar::month($day));
            }
        }

        return \count($days);
    }

    /** @return array<string, array<string, array{position: int, url: string}>> */
    private function month(int $month): array
    {
        // Only the last one, so that all of them never fill the memory.
        $this->months = [$month => $this->months[$month] ?? $this->store->month(
            $this->seed.implode('-', $this->subjects),
            $month,
            fn(): array => array_map(fn(MarketKeyword $keyword): array => $this->market->positions($keyword, $month), $this->byText),
        )];

        return $this->months[$month];
    }

    /** @return list<Row> */
    private function pageOne(MarketKeyword $keyword, int $month): array
    {
        $others = $this->neighbours->of($keyword, self::PAGE_ONE);
        foreach ($this->month($month)[$keyword->text] as $host => $at) {
            if ($at['position'] <= self::PAGE_ONE) {
                array_splice($others, $at['position'] - 1, 0, [[
                    'host' => $host,
                    'url' => $at['url'],
                    'authority' => (int) ($this->domain($host)->authority ?? 0),
                    'title' => PageText::title($host, $keyword),
                ]]);
            }
        }

        return array_map(
            static fn(array $result, int $place): array => self::result($keyword, $result, $place + 1),
            \array_slice($others, 0, self::PAGE_ONE),
            range(0, self::PAGE_ONE - 1),
        );
    }

    /**
     * @param array{host: string, url: string, authority: int, title: string} $result
     *
     * @return Row
     */
    private static function result(MarketKeyword $keyword, array $result, int $position): array
    {
        $draw = crc32($result['url'].$keyword->text) % 100;
        $links = (int) round(max(0, exp(.05 * $keyword->difficulty + .012 * $result['authority']) * (.3 + $draw / 70) - 1.2));

        return [
            'keyword' => $keyword->text,
            'position' => $position,
            'url' => $result['url'],
            'authority' => $result['authority'],
            'page_strength' => min(100, (int) round(.45 * $result['authority'] + 6 * log(1 + $links))),
            'referring_domains' => $links,
            'title' => $result['title'],
        ];
    }

    /** Some things are served by two pages of one site, which then stand in each other's way. */
    private function hasSecondPage(string $host, MarketKeyword $keyword): bool
    {
        return $keyword->brandOf === '' && crc32($host.$keyword->thing) % 11 === 0 && crc32($host.$keyword->text) % 3 === 0;
    }

    /** @return list<string> */
    private function features(MarketKeyword $keyword): array
    {
        return Features::of($keyword, $this->noise);
    }

    private static function slug(string $thing): string
    {
        return str_replace(' ', '-', $thing);
    }
}
