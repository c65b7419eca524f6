<?php

declare(strict_types=1);

namespace App\Support\Sources;

/**
 * A provider of rankings and figures that a study can be filled from. A real one is one class that implements this and a
 * line in `config/sources.php`. Rows carry the field names of the imports; every method throws SourceProblem, in words
 * for the person, when the provider cannot be reached, refuses, or breaks off.
 *
 * @phpstan-type Row array<string, string|int|float|null>
 */
interface RankingSource
{
    /** @return list<string> days that have rankings, YYYY-MM-DD, the newest first */
    public function days(SourceMarket $market): array;

    /**
     * One page of the rankings of a domain on a day.
     *
     * @param int $page from 1
     */
    public function rankings(SourceMarket $market, string $host, string $day, string $channel, int $page): SourcePage;

    /** @return ?Row figures about a domain: domain, authority, referring_domains, backlinks, brand_terms; null when it is not known */
    public function domain(string $host): ?array;

    /**
     * @param list<string> $keywords at most mostKeywords()
     *
     * @return list<Row> fields of a keyword list; keywords that are not known are left out
     */
    public function metrics(SourceMarket $market, array $keywords): array;

    /**
     * @param list<string> $keywords at most mostKeywords()
     *
     * @return list<Row> fields of page-one results
     */
    public function results(SourceMarket $market, array $keywords, string $day): array;

    /** One page of our own clicks and impressions; empty where the provider has none. */
    public function performance(SourceMarket $market, string $host, string $day, int $page): SourcePage;

    /** One page of who links to the pages of a domain; empty where the provider knows none. */
    public function links(SourceMarket $market, string $host, string $day, int $page): SourcePage;

    /** One page of the pages of our site as the provider crawled them; empty where it crawls none. */
    public function pages(SourceMarket $market, string $host, string $day, int $page): SourcePage;

    /** One page of the links between the pages of our site; empty where the provider crawls none. */
    public function pageLinks(SourceMarket $market, string $host, string $day, int $page): SourcePage;

    /** @return list<array{keyword: string, volume: ?int, difficulty: ?float, is_question: bool}> */
    public function related(SourceMarket $market, string $keyword): array;

    /** @return list<array{domain: string, common: int, theirs: int, ours: int, authority: ?float, referring_domains: ?int}> */
    public function competitors(SourceMarket $market, string $host): array;

    /** The HTML of a page as the provider has it; null where it has none. The application itself fetches no address. */
    public function page(string $url): ?string;

    /** How many keywords one question may have. */
    public function mostKeywords(): int;
}
