<?php

declare(strict_types=1);

namespace StandIn;

/**
 * A small made-up market, the same for the same seed: demand by subject and season, pages with quality, domains with
 * authority, and positions drawn from them with noise and movement from month to month.
 */
final class Market
{
    public const OURS = 'thornfield-apiary.example';

    /** Place, as a natural logarithm, of a page of no particular strength of a domain of authority 40 at a difficulty of 36. */
    private const PLACE = 4.5;
    private const PER_DIFFICULTY = .022;
    private const PER_AUTHORITY = .034;

    /** How much better a page serves one of its keywords than another, and how a place jitters from month to month. */
    private const FIT = .4;
    private const JITTER = .1;
    private const SERVES_SHARE = .9;
    private const LAST_PLACE = 100;

    /** Share of the competitors' pages that are published after the first month, and the months in which they are. */
    private const PUBLISHED_SHARE = .15;
    private const PUBLISHING_MONTHS = 24;

    /** A brand's own page leads; a quarter of the others stand somewhere below it. */
    private const BRAND_RIVAL_SHARE = .25;

    private readonly Noise $noise;

    /** @var list<MarketKeyword> */
    private array $keywords = [];
    private ?WorkedPages $worked = null;
    private ?PageStrength $strength = null;

    /** @param list<string> $subjects of the vocabulary; empty takes all */
    public function __construct(int $seed = 2056, private readonly array $subjects = [])
    {
        $this->noise = new Noise($seed);
    }

    /** @return list<MarketDomain> ours first */
    public static function domains(): array
    {
        return [
            new MarketDomain(
                self::OURS,
                'thornfield apiary',
                38,
                .8,
                .004,
                ['hives' => .3, 'courses' => .4, 'extraction' => -.6, 'queens' => -.5],
                412,
            ),
            new MarketDomain(
                'hivewright.example',
                'hivewright',
                41,
                .84,
                .0,
                ['extraction' => 1.5, 'hives' => .5, 'suits' => .4, 'health' => -.5],
                530,
            ),
            new MarketDomain(
                'meadowcomb.example',
                'meadowcomb',
                36,
                .72,
                .006,
                ['queens' => 1.5, 'bees' => .7, 'honey' => .5, 'suits' => -.5],
                388,
            ),
            new MarketDomain(
                'skepandsmoker.example',
                'skep and smoker',
                43,
                .76,
                -.006,
                ['smokers' => 1.1, 'suits' => .5, 'courses' => -.6],
                610,
            ),
            new MarketDomain('first-swarm.example', 'first swarm', 14, .36, .04, ['bees' => .5, 'courses' => .4], 37),
            new MarketDomain(
                'gardenalmanac.example',
                'garden almanac',
                78,
                .92,
                .0,
                ['garden' => .9, 'honey' => .3, 'extraction' => -.9],
                18400,
                0,
                .12,
            ),
            new MarketDomain('combandclover.example', 'comb and clover', 24, .4, .07, ['honey' => .6, 'garden' => .3], 61, 5),
        ];
    }

    public static function ours(): MarketDomain
    {
        return self::domains()[0];
    }

    /** @return list<MarketKeyword> */
    public function keywords(): array
    {
        if ($this->keywords === []) {
            $subjects = $this->subjects === [] ? array_keys(Vocabulary::SUBJECTS) : $this->subjects;
            $this->keywords = (new KeywordMaker($this->noise))->make($subjects, self::domains());
        }

        return $this->keywords;
    }

    /** What is done for our pages, and when. */
    public function worked(): WorkedPages
    {
        if ($this->worked === null) {
            $isThere = fn(MarketKeyword $keyword): bool => $this->hasPage(self::ours(), $keyword, 0, null);
            $this->worked = WorkedPages::of(WorkedPages::chosen(), $this->keywords(), self::OURS, $isThere, $this->noise);
        }

        return $this->worked;
    }

    /**
     * Who ranks where for a keyword in a month (0 is the first).
     *
     * @return array<string, array{position: int, url: string}> host → its best ranking; absent hosts left out
     */
    public function positions(MarketKeyword $keyword, int $month): array
    {
        $places = [];
        foreach (self::domains() as $domain) {
            $place = $month < $domain->since ? null : $this->place($domain, $keyword, $month);
            if ($place !== null) {
                $places[$domain->host] = $place;
            }
        }
        asort($places);
        $ranked = [];
        $last = 0;
        foreach ($places as $host => $place) {
            $last = max($last + 1, (int) round($place));
            $ranked[$host] = ['position' => $last, 'url' => self::url($host, $keyword)];
        }

        return array_filter($ranked, static fn(array $at): bool => $at['position'] <= self::LAST_PLACE);
    }

    public static function url(string $host, MarketKeyword $keyword): string
    {
        $slug = str_replace(' ', '-', $keyword->thing);

        return 'https://'.$host.'/'.match (true) {
            $keyword->brandOf === $host => '',
            $keyword->page === 'shop' => $keyword->subject.'/'.$slug,
            default => 'guides/'.$slug,
        };
    }

    /** Probability that a searcher clicks the result at a position: the hidden curve that clicks are drawn from. */
    public static function hiddenCtr(int $position): float
    {
        return .28 * $position ** -1.18;
    }

    private function place(MarketDomain $domain, MarketKeyword $keyword, int $month): ?float
    {
        if ($keyword->brandOf !== '') {
            return $this->placeForBrand($domain, $keyword);
        }
        $this->strength ??= new PageStrength($this->noise, $this->worked());
        $page = "{$domain->host} {$keyword->pageKey()}";
        if (
            ! $this->hasPage($domain, $keyword, $month, $this->worked()) ||
            $this->noise->uniform("serves {$page} {$keyword->text}") > self::SERVES_SHARE
        ) {
            return null;
        }
        $place = $this->placeBy($this->strength, $domain, $keyword, $month);

        return $place > self::LAST_PLACE ? null : max(1.0, $place);
    }

    private function placeForBrand(MarketDomain $domain, MarketKeyword $keyword): ?float
    {
        if ($keyword->brandOf === $domain->host) {
            return 1.0;
        }

        return $this->noise->uniform("brand {$domain->host} {$keyword->text}") < self::BRAND_RIVAL_SHARE
            ? 6 + 30 * $this->noise->uniform("b {$domain->host} {$keyword->text}")
            : null;
    }

    private function placeBy(PageStrength $strength, MarketDomain $domain, MarketKeyword $keyword, int $month): float
    {
        return exp(
            self::PLACE
            + self::PER_DIFFICULTY * ($keyword->difficulty - 36)
            - self::PER_AUTHORITY * ($domain->authority - 40)
            - $strength->of($domain, $keyword, $month)
            - self::FIT * $this->noise->normal("fit {$domain->host} {$keyword->text}")
            - self::JITTER * $this->noise->normal("jitter {$domain->host} {$keyword->text} {$month}"),
        );
    }

    /** Competitors publish every month; what we publish is in the works. */
    private function publishedIn(MarketDomain $domain, string $page): int
    {
        $draw = $this->noise->uniform("published {$page}");

        return $domain->host === self::OURS ? 0 : (int) max(0, ceil(self::PUBLISHING_MONTHS * (1 - $draw / self::PUBLISHED_SHARE)));
    }

    private function hasPage(MarketDomain $domain, MarketKeyword $keyword, int $month, ?WorkedPages $worked): bool
    {
        $page = "{$domain->host} {$keyword->pageKey()}";
        $coverage = $domain->coverage + .15 * $domain->strengthIn($keyword->subject);
        if ($keyword->page === 'shop') {
            $coverage *= 1 - $domain->withoutShop;
        }

        return $worked?->isThere($domain->host, $keyword->pageKey(), $month)
            ?? ($this->noise->uniform("has {$page}") <= $coverage && $month >= $this->publishedIn($domain, $page));
    }
}
