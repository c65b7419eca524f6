<?php

declare(strict_types=1);

namespace Benchmark\Judgement;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Holds ranked lists and plans against the truth of a market: what share of the visits that somebody who knows everything would win.
 *
 * @phpstan-import-type Page from JudgedStudy
 */
final readonly class Judge
{
    private const SHUFFLES = 20;

    /** @var array<string, int> keyword → its true topic */
    private array $topicOf;

    /** @var array<int, float> topic → visits a month that work on it truly brings */
    public array $truth;

    public function __construct(private Market $market, private int $month)
    {
        $this->topicOf = array_column($market->keywords, 'topic', 'text');
        $truth = [];
        foreach ($market->topics() as $topic) {
            $truth[$topic] = $market->isWorked($topic) ? 0.0 : $market->trueGain($topic, $month);
        }
        $this->truth = $truth;
    }

    public function topicOf(string $keyword): int
    {
        return $this->topicOf[$keyword];
    }

    /** What the best choice within so many days of work brings, known beforehand. */
    public function best(float $days): float
    {
        $order = array_keys($this->truth);
        usort($order, fn(int $one, int $two): int => $this->truth[$two] / $this->days($two) <=> $this->truth[$one] / $this->days($one));
        $sum = 0.0;
        foreach ($order as $topic) {
            if ($this->days($topic) <= $days && $this->truth[$topic] > 0) {
                $days -= $this->days($topic);
                $sum += $this->truth[$topic];
            }
        }

        return $sum;
    }

    /**
     * @param list<Page> $pages as they are worked on
     *
     * @return float visits a month, within so many days of work; a page that does not fit is left out
     */
    public function worked(array $pages, float $days): float
    {
        $done = [];
        foreach ($pages as $page) {
            if ((float) $page['effort_days'] <= $days) {
                $days -= (float) $page['effort_days'];
                $done[$this->topicOf($page['lead'])] = true;
            }
        }

        return array_sum(array_intersect_key($this->truth, $done));
    }

    /**
     * @param list<Page> $pages
     *
     * @return array<string, float> order that people use without such a tool → visits a month
     */
    public function naive(array $pages, array $plain, float $days, int $seed): array
    {
        $by = function (\Closure $worth) use ($pages, $days): float {
            usort($pages, static fn(array $one, array $two): int => $worth($two) <=> $worth($one));

            return $this->worked($pages, $days);
        };
        $random = new Randomizer(new Mt19937($seed));
        $shuffled = array_map(fn(): float => $this->worked($random->shuffleArray($pages), $days), range(1, self::SHUFFLES));

        return [
            'volume' => $by(static fn(array $page): float => (float) $page['volume']),
            'volume ÷ difficulty' => $by(static fn(array $page): float => (float) $page['volume'] / max(1, (float) $page['difficulty'])),
            'plain average' => $this->worked($plain, $days),
            'random' => array_sum($shuffled) / self::SHUFFLES,
        ];
    }

    /**
     * @param list<Page> $pages
     *
     * @return array<string, array{said: float, true: float, pages: int}> new and existing → what was said of them and what is true
     */
    public function said(array $pages): array
    {
        $sums = array_fill_keys(['new', 'existing'], ['said' => 0.0, 'true' => 0.0, 'pages' => 0]);
        foreach ($pages as $page) {
            $kind = str_starts_with($page['tactic'], 'new page') ? 'new' : 'existing';
            $sums[$kind]['said'] += (float) $page['expected_gain'];
            $sums[$kind]['true'] += $this->truth[$this->topicOf($page['lead'])];
            ++$sums[$kind]['pages'];
        }

        return $sums;
    }

    /** Days of work by the rulebook's defaults. */
    private function days(int $topic): float
    {
        if (! $this->market->hadPage($topic)) {
            return 3.0;
        }
        $place = $this->market->place(0, $this->market->leadOf($topic), $this->month);

        return $place === null || $place > 50 ? 1.5 : 1.0;
    }
}
