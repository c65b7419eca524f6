<?php

declare(strict_types=1);

namespace StandIn;

/**
 * Which pages of our shop are written or improved in which month, and by how much that moves them: some climb, some stay where they are.
 * The pages are those that the ranked list of the time put forward, with the errors a team makes; the effect is hidden from whoever only
 * sees rankings.
 *
 * @phpstan-type Work array{month: int, kind: string, page: string, keyword: string, url: string}
 */
final readonly class WorkedPages
{
    public const WRITTEN = 'written';
    public const IMPROVED = 'improved';

    /** Month and leading keyword of each page, chosen by stand-in/choose.php. */
    public const CHOSEN = __DIR__.'/../data/worked.json';

    /** Chance that a page climbs, and how far those do: mean and standard deviation; and that it falls, and how far. */
    private const CLIMBING_SHARE = .55;
    private const EFFECT = 1.1;
    private const EFFECT_DEVIATION = .4;
    private const FALLING_SHARE = .05;
    private const FALL = -.5;

    /** Months until it is there in full. */
    private const RAMP = 3;

    /** @param array<string, Work> $works host and page → what is done for it, the earliest first */
    private function __construct(private array $works, private Noise $noise)
    {
    }

    /**
     * @param list<array{month: int, keyword: string}> $chosen
     * @param list<MarketKeyword>                      $keywords
     * @param \Closure(MarketKeyword): bool            $isThere  whether we have its page at first
     */
    public static function of(array $chosen, array $keywords, string $host, \Closure $isThere, Noise $noise): self
    {
        $byText = array_combine(array_map(static fn(MarketKeyword $one): string => $one->text, $keywords), $keywords);
        $works = [];
        foreach ($chosen as ['month' => $month, 'keyword' => $text]) {
            $keyword = $byText[$text] ?? null;
            if ($keyword !== null) {
                $works["{$host} {$keyword->pageKey()}"] ??= [
                    'month' => $month,
                    'kind' => $isThere($keyword) ? self::IMPROVED : self::WRITTEN,
                    'page' => $keyword->pageKey(),
                    'keyword' => $text,
                    'url' => Market::url($host, $keyword),
                ];
            }
        }

        return new self($works, $noise);
    }

    /** @return list<array{month: int, keyword: string}> */
    public static function chosen(): array
    {
        /** @var list<array{month: int, keyword: string}> */
        return json_decode((string) file_get_contents(self::CHOSEN), true, 4, JSON_THROW_ON_ERROR);
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
