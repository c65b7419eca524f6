<?php

declare(strict_types=1);

namespace StandIn;

/**
 * Puts the keywords of the market together. Demand falls with the rank of a thing by a power law and once more with the way of asking, so
 * that a few keywords are searched for ten thousand times a month and most some ten to fifty times.
 */
final readonly class KeywordMaker
{
    /** Volumes as providers round them. */
    private const STEPS = [
        10, 20, 30, 40, 50, 70, 90, 110, 140, 170, 210, 260, 320, 390, 480, 590, 720, 880, 1000, 1300, 1600, 1900, 2400, 2900, 3600, 4400,
        5400, 6600, 8100, 9900, 12100, 14800, 18100, 22200, 27100, 33100,
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

    /** Share of the ways of asking that anybody uses. */
    private const FILL_SHARE = .81;

    /** Searches a month for the most wanted thing of a subject of weight 1, at the median. */
    private const DEMAND = 9000;
    private const DEMAND_EXPONENT = .95;

    /** Share of keywords with fewer than fifty searches whose difficulty a provider has not worked out. */
    private const UNRATED_SHARE = .04;

    public function __construct(private Noise $noise)
    {
    }

    /**
     * @param list<string>       $subjects
     * @param list<MarketDomain> $domains  whose brands are searched for
     *
     * @return list<MarketKeyword> each text once
     */
    public function make(array $subjects, array $domains): array
    {
        $keywords = [];
        foreach ($subjects as $subject) {
            foreach (array_keys(Vocabulary::kindsOf($subject)) as $place => $thing) {
                $keywords += $this->about($subject, $thing, $place);
            }
        }
        foreach ($domains as $domain) {
            foreach (self::BRAND_PATTERNS as $pattern => $volume) {
                $keyword = self::brand($domain, $pattern, $volume * $domain->authority / 40);
                $keywords[$keyword->text] = $keyword;
            }
        }

        return array_values($keywords);
    }

    /** @return array<string, MarketKeyword> text → the ways in which a thing is asked for */
    private function about(string $subject, string $thing, int $place): array
    {
        $keywords = [];
        foreach (Vocabulary::patterns(Vocabulary::kindsOf($subject)[$thing]) as $pattern => $about) {
            if ($this->isAsked($pattern, $thing)) {
                $keyword = $this->keyword($subject, $thing, $place, $pattern, $about);
                $keywords[$keyword->text] = $keyword;
            }
        }

        return $keywords;
    }

    /** How crowded the results for a thing are, in standard deviations: it makes them harder and brings stronger sites there. */
    public static function crowd(Noise $noise, string $thing): float
    {
        return $noise->normal("crowd {$thing}");
    }

    private function isAsked(string $pattern, string $thing): bool
    {
        return $pattern === '%s' || (
            Vocabulary::fits($pattern, $thing) && $this->noise->uniform("is searched {$thing} {$pattern}") < self::FILL_SHARE
        );
    }

    /** @param array{float, string, int, float} $about as the vocabulary has it */
    private function keyword(string $subject, string $thing, int $place, string $pattern, array $about): MarketKeyword
    {
        [$share, $page, $harder, $costly] = $about;
        ['weight' => $weight, 'peak' => $peak, 'swing' => $swing] = Vocabulary::SUBJECTS[$subject];
        $text = sprintf($pattern, $thing);
        $demand = self::DEMAND * $weight / ($place + 1) ** self::DEMAND_EXPONENT * exp(.5 * $this->noise->normal("demand {$thing}"));
        $volume = self::step($demand * $share * exp(.6 * $this->noise->normal("demand {$text}")));
        $difficulty = 9 + 6.2 * log(1 + $volume / 15) + $harder + 6 * self::crowd($this->noise, $thing)
            + 4 * $this->noise->normal("difficulty {$text}");
        $cpc = round(max(.05, .55 * $costly * exp(.35 * $this->noise->normal("cpc {$text}"))), 2);
        $hasCpc = $volume >= 20 && $this->noise->uniform("has cpc {$text}") < .85;

        return new MarketKeyword(
            $text,
            $subject,
            $thing,
            $page,
            $volume,
            self::months($volume, $peak, $swing),
            round(min(96, max(1, $difficulty)), 1),
            $hasCpc ? $cpc : null,
            round(min(1, max(0, .5 * $costly + .2 * $this->noise->normal("competition {$text}"))), 2),
            '',
            $volume >= 50 || $this->noise->uniform("is rated {$text}") >= self::UNRATED_SHARE,
        );
    }

    private static function brand(MarketDomain $domain, string $pattern, float $volume): MarketKeyword
    {
        return new MarketKeyword(
            sprintf($pattern, $domain->name),
            'brand',
            $domain->name,
            'shop',
            self::step($volume),
            self::months(self::step($volume), 6, 0.1),
            8 + $domain->authority / 5,
            0.4,
            0.3,
            $domain->host,
        );
    }

    private static function step(float $volume): int
    {
        $fitting = array_filter(self::STEPS, static fn(int $step): bool => $step <= $volume);

        return $fitting === [] ? self::STEPS[0] : max($fitting);
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
