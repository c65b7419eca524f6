<?php

declare(strict_types=1);

namespace StandIn;

/**
 * A made-up market of any size for measuring: keywords put together from the vocabulary, a word more and a number, a volume that falls
 * with rank by a power law, a difficulty that rises with it, and domains whose positions depend on their authority, the keyword's
 * difficulty and the page that serves it. Made as a stream; the same seed makes the same market.
 *
 * @phpstan-type Row list<string|int|float>
 */
final class WideMarket
{
    private const KEYWORDS_PER_PAGE = 12;

    /** Of each domain, ours first. */
    private const AUTHORITIES = [38, 41, 36, 43, 14, 78, 52, 29, 61, 24, 47];

    /** What people add to a search. */
    private const ADDED = [
        '', 'tested', 'explained', 'compared', 'this year', 'with pictures', 'for a small hive', 'for two hives', 'on a budget',
        'made easy', 'for clubs', 'by post', 'on offer', 'from wood', 'from steel', 'extra large', 'extra small', 'for a gift',
        'old and new', 'for a roof garden', 'for a meadow', 'from a farm', 'in bad weather', 'for two people',
    ];

    /**
     * Searches a month of the rarest keywords, and how volume rises towards the first: by (keywords ÷ rank) to this power, at most to that
     * of one keyword in so many.
     */
    private const FEWEST = 14;
    private const VOLUME_EXPONENT = .85;
    private const HEAD = 30000;

    /** Share of keywords that a domain of authority 40 has a page for. */
    private const COVERAGE = .95;

    /** Place, as a natural logarithm, at authority 40 and difficulty 30, and its standard deviations by page and by keyword. */
    private const PLACE = 4.74;
    private const PER_DIFFICULTY = .02;
    private const PER_AUTHORITY = .03;
    private const BY_PAGE = 1.2;
    private const BY_KEYWORD = .9;
    private const LAST_PLACE = 100;

    private readonly Noise $noise;

    /** @var list<string> things put into the ways of asking for them */
    private readonly array $asked;

    public function __construct(private readonly int $keywords, private readonly int $domains, private readonly int $seed)
    {
        $this->noise = new Noise($seed);
        $asked = [];
        foreach (array_keys(Vocabulary::SUBJECTS) as $subject) {
            foreach (Vocabulary::kindsOf($subject) as $thing => $kind) {
                foreach (array_keys(Vocabulary::patterns($kind)) as $pattern) {
                    if (Vocabulary::fits($pattern, $thing)) {
                        $asked[sprintf($pattern, $thing)] = true;
                    }
                }
            }
        }
        $this->asked = array_keys($asked);
    }

    public static function host(int $domain): string
    {
        return $domain === 0 ? 'our-hives.example' : "apiary-{$domain}.example";
    }

    /** 0…100. */
    public function authority(int $domain): int
    {
        return self::AUTHORITIES[$domain % \count(self::AUTHORITIES)];
    }

    /** @return \Generator<int, Row> domain, authority, referring domains */
    public function domainRows(): \Generator
    {
        for ($domain = 0; $domain < $this->domains; ++$domain) {
            yield [self::host($domain), $this->authority($domain), (int) round(exp($this->authority($domain) / 9))];
        }
    }

    /** @return \Generator<int, Row> keyword, volume, difficulty, cpc */
    public function keywordRows(): \Generator
    {
        for ($number = 0; $number < $this->keywords; ++$number) {
            yield [
                $this->keyword($number),
                $this->volume($number),
                $this->difficulty($number),
                round(0.1 + 3 * $this->noise->uniform('cpc '.$number), 2),
            ];
        }
    }

    /** @return \Generator<int, Row> keyword, position, url, volume */
    public function rankingRows(int $domain): \Generator
    {
        $host = self::host($domain);
        $coverage = min(.99, self::COVERAGE + .006 * ($this->authority($domain) - 40));
        $byAuthority = self::PER_AUTHORITY * ($this->authority($domain) - 40);
        for ($number = 0; $number < $this->keywords; ++$number) {
            $draw = $this->noise->uniform("{$domain} {$number}");
            if ($draw >= $coverage) {
                continue;
            }
            $place = exp(
                self::PLACE + self::PER_DIFFICULTY * ($this->difficulty($number) - 30) - $byAuthority
                - self::BY_PAGE * $this->pageQuality($domain, intdiv($number, self::KEYWORDS_PER_PAGE))
                - self::BY_KEYWORD * self::bell($draw / $coverage),
            );
            if ($place <= self::LAST_PLACE) {
                yield [
                    $this->keyword($number),
                    max(1, (int) round($place)),
                    "https://{$host}/page-".intdiv($number, self::KEYWORDS_PER_PAGE),
                    $this->volume($number),
                ];
            }
        }
    }

    private function pageQuality(int $domain, int $page): float
    {
        return self::bell($this->noise->uniform("page {$domain} {$page}"));
    }

    /** The logistic distribution with a standard deviation of 1, near enough to a normal one and found with one logarithm. */
    private static function bell(float $uniform): float
    {
        return sqrt(3) / M_PI * log($uniform / (1 - $uniform));
    }

    private function keyword(int $number): string
    {
        $text = $this->asked[$number % \count($this->asked)];
        $round = intdiv($number, \count($this->asked));
        $added = self::ADDED[$round % \count(self::ADDED)];
        $again = intdiv($round, \count(self::ADDED));

        return $text.($added === '' ? '' : ' '.$added).($again === 0 ? '' : ' '.(1000 + $this->seed % 7 + $again));
    }

    /** Ranks are strewn over the keywords, so that a page has wanted and rare ones. */
    private function volume(int $number): int
    {
        // After Zipf and Mandelbrot: the head is flatter than a power law alone would have it.
        $rank = $this->noise->uniform('rank '.$number) + 1 / self::HEAD;

        return max(10, 10 * (int) round(self::FEWEST / 10 * $rank ** -self::VOLUME_EXPONENT));
    }

    private function difficulty(int $number): float
    {
        $difficulty = 9 + 6.2 * log(1 + $this->volume($number) / 15) + 9 * self::bell($this->noise->uniform('difficulty '.$number));

        return round(min(96, max(1, $difficulty)), 1);
    }
}
