<?php

declare(strict_types=1);

namespace StandIn;

/**
 * A small made-up market, the same for the same seed: demand by subject and season, pages with quality, domains with
 * authority, and positions drawn from them with noise and drift from month to month.
 */
final class Market
{
    private const VOLUME_STEPS = [
        0,
        10,
        20,
        30,
        40,
        50,
        70,
        90,
        110,
        140,
        170,
        210,
        260,
        320,
        390,
        480,
        590,
        720,
        880,
        1000,
        1300,
        1600,
        1900,
        2400,
        2900,
        3600,
        4400,
        5400,
        6600,
        8100,
        9900,
        12100,
        14800,
        18100,
        22200,
        27100,
        33100,
    ];
    private const BRAND_PATTERNS = [
        '%s' => 900,
        '%s hives' => 140,
        '%s voucher' => 90,
        '%s delivery' => 40,
        '%s reviews' => 110,
        '%s shop' => 70,
        '%s contact' => 30,
    ];
    private const FILL_SHARE = 0.82;

    private readonly Noise $noise;

    /** @var list<MarketKeyword> */
    private array $keywords = [];

    /** @param list<string> $subjects of the vocabulary; empty takes all */
    public function __construct(int $seed = 2026, private readonly array $subjects = [])
    {
        $this->noise = new Noise($seed);
    }

    /** @return list<MarketDomain> ours first */
    public static function domains(): array
    {
        return [
            new MarketDomain('thornfield-apiary.example', 'thornfield apiary', 38, .72, .004, 'hives suits courses', 412),
            new MarketDomain('hivewright.example', 'hivewright', 41, .78, .000, 'hives smokers extraction', 530),
            new MarketDomain('meadowcomb.example', 'meadowcomb', 36, .66, .006, 'honey feeding queens', 388),
            new MarketDomain('skepandsmoker.example', 'skep and smoker', 43, .70, -.006, 'smokers suits health', 610),
            new MarketDomain('first-swarm.example', 'first swarm', 14, .34, .045, 'bees courses', 37),
            new MarketDomain('gardenalmanac.example', 'garden almanac', 78, .62, .000, 'garden honey courses health', 18400),
        ];
    }

    /** @return list<MarketKeyword> */
    public function keywords(): array
    {
        if ($this->keywords === []) {
            $this->makeKeywords();
        }

        return $this->keywords;
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
            $place = $this->place($domain, $keyword, $month);
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

        return $ranked;
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
            return $keyword->brandOf === $domain->host
                ? 1
                : ($this->noise->uniform("brand {$domain->host} {$keyword->text}") < 0.25
                    ? 6 + 30 * $this->noise->uniform("b {$domain->host} {$keyword->text}")
                    : null);
        }
        $page = "{$domain->host} {$keyword->thing} {$keyword->page}";
        if (
            $this->noise->uniform("has {$page}") > $this->coverage($domain, $keyword) ||
            $this->noise->uniform("serves {$page} {$keyword->text}") > 0.82
        ) {
            return null;
        }
        $strength =
            0.028 * ($domain->authority - 40) +
            (str_contains($domain->specialities, $keyword->subject) ? 0.55 : 0) +
            0.6 * $this->noise->normal("quality {$page}") +
            $domain->growth * $month +
            $this->drift($page, $month) +
            0.35 * $this->noise->normal("fit {$domain->host} {$keyword->text}") +
            0.12 * $this->noise->normal("jitter {$domain->host} {$keyword->text} {$month}");
        $place = exp(log(4.5) + (2.6 * $keyword->difficulty) / 100 - $strength * 1.05 + 0.55);

        return $place > 130 ? null : max(1.0, $place);
    }

    /** A page's quality wanders: now and then it is reworked, or neglected. */
    private function drift(string $page, int $month): float
    {
        $drift = 0.0;
        for ($step = 1; $step <= $month; ++$step) {
            $drift += .06 * $this->noise->normal("drift {$page} {$step}");
            $event = $this->noise->uniform("event {$page} {$step}");
            $drift += $event < .015 ? .8 : ($event > .985 ? -.8 : 0);
        }

        return $drift;
    }

    private function coverage(MarketDomain $domain, MarketKeyword $keyword): float
    {
        $bonus = str_contains($domain->specialities, $keyword->subject) ? .2 : 0;
        $leaning = $domain->host === 'gardenalmanac.example' && $keyword->page === 'shop' ? -.3 : 0;

        return $domain->coverage + $bonus + $leaning;
    }

    private function makeKeywords(): void
    {
        foreach ($this->subjects === [] ? array_keys(Vocabulary::SUBJECTS) : $this->subjects as $subject) {
            foreach (Vocabulary::SUBJECTS[$subject]['things'] as $place => $thing) {
                foreach (array_keys(Vocabulary::PATTERNS) as $pattern) {
                    if ($pattern === '%s' || $this->noise->uniform("is searched {$thing} {$pattern}") < self::FILL_SHARE) {
                        $this->keywords[] = $this->makeKeyword($subject, $thing, $place, $pattern);
                    }
                }
            }
        }
        foreach (self::domains() as $domain) {
            foreach (self::BRAND_PATTERNS as $pattern => $volume) {
                $this->keywords[] = new MarketKeyword(
                    sprintf($pattern, $domain->name),
                    'brand',
                    $domain->name,
                    'shop',
                    self::step(($volume * $domain->authority) / 40),
                    self::months(self::step(($volume * $domain->authority) / 40), 6, 0.1),
                    8 + $domain->authority / 5,
                    0.4,
                    0.3,
                    $domain->host,
                );
            }
        }
    }

    private function makeKeyword(string $subject, string $thing, int $place, string $pattern): MarketKeyword
    {
        [$share, $page, $harder, $costly] = Vocabulary::PATTERNS[$pattern];
        $about = Vocabulary::SUBJECTS[$subject];
        $text = sprintf($pattern, $thing);
        $demand = 5200 * $about['weight'] / ($place + 1.6) ** .75 * exp(.5 * $this->noise->normal("demand {$thing}"));
        $volume = self::step($demand * $share * exp(.55 * $this->noise->normal("demand {$text}")));
        $difficulty = 9 + 5.2 * log(1 + $volume / 12) + $harder + 6 * $this->noise->normal("difficulty {$text}");
        $cpc = round(max(.05, .55 * $costly * exp(.35 * $this->noise->normal("cpc {$text}"))), 2);
        $hasCpc = $volume >= 20 && $this->noise->uniform("has cpc {$text}") < .85;

        return new MarketKeyword(
            $text,
            $subject,
            $thing,
            $page,
            $volume,
            self::months($volume, $about['peak'], $about['swing']),
            round(min(96, max(1, $difficulty)), 1),
            $hasCpc ? $cpc : null,
            round(min(1, max(0, .5 * $costly + .2 * $this->noise->normal("competition {$text}"))), 2),
        );
    }

    private static function step(float $volume): int
    {
        $best = 0;
        foreach (self::VOLUME_STEPS as $step) {
            $best = $step <= $volume ? $step : $best;
        }

        return $best;
    }

    /** @return list<int> */
    private static function months(int $volume, int $peak, float $swing): array
    {
        return array_map(
            static fn(int $month): int => (int) round($volume * (1 + $swing * cos((2 * M_PI * ($month - $peak)) / 12))),
            range(1, 12),
        );
    }
}
