<?php

declare(strict_types=1);

namespace StandIn;

/**
 * Which pages of our shop are written or improved in which month, and by how much that moves them: some climb, some stay where they are.
 * The effect is hidden from whoever only sees rankings.
 *
 * @phpstan-type Work array{month: int, kind: string, page: string, keyword: string, url: string}
 */
final readonly class WorkedPages
{
    public const WRITTEN = 'written';
    public const IMPROVED = 'improved';

    private const FIRST_MONTH = 2;
    private const PER_MONTH = [3, 2];

    /** Chance that a page climbs, and how far those do: mean and standard deviation; and that it falls, and how far. */
    private const CLIMBING_SHARE = .55;
    private const EFFECT = 1.1;
    private const EFFECT_DEVIATION = .4;
    private const FALLING_SHARE = .1;
    private const FALL = -.5;

    /** Months until it is there in full. */
    private const RAMP = 3;

    /** What is worked on stands between these places at first, or would where a page is written. */
    private const FROM_PLACE = 4;
    private const TO_PLACE = 80;
    private const FEWEST_SEARCHES = 100;

    /** @param array<string, Work> $works host and page → what is done for it */
    private function __construct(private array $works, private Noise $noise)
    {
    }

    /**
     * @param list<MarketKeyword>             $keywords
     * @param \Closure(MarketKeyword): float $place    of our page at first, or of one that we wrote
     * @param \Closure(MarketKeyword): bool  $isThere  whether we have that page at first
     */
    public static function choose(array $keywords, string $host, \Closure $place, \Closure $isThere, Noise $noise): self
    {
        $leads = [];
        foreach ($keywords as $keyword) {
            $lead = $leads[$keyword->pageKey()] ?? null;
            if ($keyword->brandOf === '' && ($lead === null || $keyword->volume > $lead->volume)) {
                $leads[$keyword->pageKey()] = $keyword;
            }
        }
        $worth = [];
        foreach ($leads as $page => $lead) {
            $at = $place($lead);
            if ($lead->volume >= self::FEWEST_SEARCHES && $at >= self::FROM_PLACE && $at <= self::TO_PLACE) {
                $worth[$page] = log($lead->volume) - 1.3 * log($at) + .8 * $noise->normal("worked on {$page}");
            }
        }
        arsort($worth);
        $works = [];
        [$month, $left] = [self::FIRST_MONTH, self::PER_MONTH[0]];
        foreach (array_keys($worth) as $page) {
            $works["{$host} {$page}"] = [
                'month' => $month,
                'kind' => $isThere($leads[$page]) ? self::IMPROVED : self::WRITTEN,
                'page' => $page,
                'keyword' => $leads[$page]->text,
                'url' => Market::url($host, $leads[$page]),
            ];
            if (--$left === 0) {
                ++$month;
                $left = self::PER_MONTH[$month % \count(self::PER_MONTH)];
            }
        }

        return new self($works, $noise);
    }

    public static function none(Noise $noise): self
    {
        return new self([], $noise);
    }

    /** @return list<Work> up to a month, the earliest first */
    public function upTo(int $month): array
    {
        return array_values(array_filter($this->works, static fn(array $work): bool => $work['month'] <= $month));
    }

    /** Whether it is a page that is written later than in this month; null where nothing is written. */
    public function isThere(string $host, string $page, int $month): ?bool
    {
        $work = $this->works["{$host} {$page}"] ?? null;

        return $work === null || $work['kind'] !== self::WRITTEN ? null : $month > $work['month'];
    }

    /** Strength gained by a month. */
    public function effect(string $host, string $page, int $month): float
    {
        $work = $this->works["{$host} {$page}"] ?? null;
        if ($work === null || $month <= $work['month']) {
            return 0.0;
        }
        $draw = $this->noise->uniform("moves {$host} {$page}");
        $effect = match (true) {
            $draw < self::CLIMBING_SHARE => max(.3, self::EFFECT + self::EFFECT_DEVIATION * $this->noise->normal("effect {$host} {$page}")),
            $draw > 1 - self::FALLING_SHARE => self::FALL,
            default => 0.0,
        };

        return $effect * min(1, ($month - $work['month']) / self::RAMP);
    }
}
