<?php

declare(strict_types=1);

namespace StandIn;

/**
 * A made-up market of any size for measuring: keywords put together from the vocabulary and a number, a volume that falls
 * with rank as demand does, and domains whose positions depend on their authority, the keyword's difficulty and the page
 * that serves it. Made as a stream; the same seed makes the same market.
 *
 * @phpstan-type Row list<string|int|float>
 */
final readonly class WideMarket
{
    private const COVERAGE = .72;
    private const KEYWORDS_PER_PAGE = 12;

    private Noise $noise;

    /** @var list<string> */
    private array $patterns;

    /** @var list<string> */
    private array $things;

    public function __construct(private int $keywords, private int $domains, private int $seed)
    {
        $this->noise = new Noise($seed);
        $this->patterns = array_keys(Vocabulary::PATTERNS);
        $this->things = array_merge(...array_column(Vocabulary::SUBJECTS, 'things'));
    }

    public static function host(int $domain): string
    {
        return $domain === 0 ? 'our-hives.example' : "apiary-{$domain}.example";
    }

    /** 0…100. */
    public function authority(int $domain): int
    {
        return (int) round(20 + 60 * $this->noise->uniform('authority '.$domain));
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
        $strength = $this->authority($domain) / 100;
        for ($number = 0; $number < $this->keywords; ++$number) {
            $draw = $this->noise->uniform("{$domain} {$number}");
            if ($draw < self::COVERAGE) {
                $place = exp(4.6 * ($draw / self::COVERAGE) * (0.55 + $this->difficulty($number) / 200 - 0.25 * $strength));
                yield [
                    $this->keyword($number),
                    max(1, min(100, (int) $place)),
                    "https://{$host}/page-".intdiv($number, self::KEYWORDS_PER_PAGE),
                    $this->volume($number),
                ];
            }
        }
    }

    private function keyword(int $number): string
    {
        $thing = $this->things[$number % \count($this->things)];
        $pattern = $this->patterns[intdiv($number, \count($this->things)) % \count($this->patterns)];
        $round = intdiv($number, \count($this->things) * \count($this->patterns));

        return sprintf($pattern, $thing).($round === 0 ? '' : ' '.(1000 + $this->seed % 7 + $round));
    }

    private function volume(int $number): int
    {
        return 10 * (int) round(4000 / (1 + $number) ** .45 * exp($this->noise->uniform('volume '.$number) - .5));
    }

    private function difficulty(int $number): float
    {
        return round(5 + 90 * $this->noise->uniform('difficulty '.$number), 1);
    }
}
