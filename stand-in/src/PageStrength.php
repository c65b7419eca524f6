<?php

declare(strict_types=1);

namespace StandIn;

/**
 * How strong a page of a domain is in a month, in natural logarithms of a place: 1 is a place 2.7 times nearer to the top. A page has a
 * quality, wanders a little from month to month, is now and then reworked or neglected and then climbs or falls as a whole; some domains
 * build up a subject or lose one; and what is worked on moves by the effect of that work.
 */
final class PageStrength
{
    /** Quality is normal, but for a tail of pages that are much better than most: its square, too, counts above the mean. */
    private const QUALITY = .8;
    private const EXCELLENCE = .28;
    private const WANDERING = .05;

    /** Chance in a month that a page climbs, and the same that it falls, and how far: in two months. */
    private const EVENT_SHARE = .008;
    private const EVENT = 1.3;

    /** Host, subject, first and last month, strength gained by the last: one builds up a subject, one loses two with a rebuilt site. */
    private const TRENDS = [
        ['skepandsmoker.example', 'feeding', 3, 9, 1.9],
        ['hivewright.example', 'suits', 7, 8, -1.7],
        ['hivewright.example', 'feeding', 7, 8, -.8],
        ['gardenalmanac.example', 'garden', 2, 5, .5],
        ['meadowcomb.example', 'health', 5, 10, .7],
    ];

    /** @var array<string, float> */
    private array $known = [];

    public function __construct(private readonly Noise $noise, private readonly ?WorkedPages $worked = null)
    {
    }

    public function of(MarketDomain $domain, MarketKeyword $keyword, int $month): float
    {
        return $this->known["{$domain->host} {$keyword->pageKey()} {$month}"] ??= $this->strength($domain, $keyword, $month);
    }

    private function strength(MarketDomain $domain, MarketKeyword $keyword, int $month): float
    {
        $page = "{$domain->host} {$keyword->pageKey()}";

        $quality = $this->noise->normal("quality {$page}");

        return self::QUALITY * $quality
            + self::EXCELLENCE * max(0, $quality) ** 2
            + $domain->strengthIn($keyword->subject)
            + $domain->growth * ($month - $domain->since)
            + self::trend($domain->host, $keyword->subject, $month)
            + $this->wandering($page, $month)
            + ($this->worked?->effect($domain->host, $keyword->pageKey(), $month) ?? 0.0);
    }

    private static function trend(string $host, string $subject, int $month): float
    {
        $gained = 0.0;
        foreach (self::TRENDS as [$whose, $where, $first, $last, $amount]) {
            if ($whose === $host && $where === $subject) {
                $gained += $amount * min(1, max(0, ($month - $first + 1) / ($last - $first + 1)));
            }
        }

        return $gained;
    }

    private function wandering(string $page, int $month): float
    {
        $moved = 0.0;
        for ($step = 1; $step <= $month; ++$step) {
            $event = $this->noise->uniform("event {$page} {$step}");
            $moved += self::WANDERING * $this->noise->normal("drift {$page} {$step}");
            $moved += ($step === $month ? .5 : 1) * match (true) {
                $event < self::EVENT_SHARE => self::EVENT,
                $event > 1 - self::EVENT_SHARE => -self::EVENT,
                default => 0,
            };
        }

        return $moved;
    }
}
