<?php

declare(strict_types=1);

use GreaterReach\Core\Comparison\Comparator;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\TopicBuilder;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Pages\PageGraph;
use GreaterReach\Core\Plan\AutoPlan;
use GreaterReach\Core\Plan\WorkItem;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\Steadiness;
use GreaterReach\Core\Priority\Weigher;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\GroundIndex;
use GreaterReach\Core\Winning\PositionModel;
use GreaterReach\Core\Winning\PositionObservations;
use Tests\Core\Priority\UnlearntModels;

require __DIR__.'/../vendor/autoload.php';

/*
 * The core alone, without a database, for six domains: one of compare, learn, weigh, topics, steady, plan at one number of keywords, in
 * a process of its own so that the peak memory is that of the one thing. Prints seconds and megabytes. Rankings are made
 * up a thousand at a time with the clock stopped, so that only the core's own work counts.
 */
[, $what, $count] = $argv + [1 => 'compare', 2 => '10000'];
$count = (int) $count;
$atOnce = 1_000;
$stopped = 0;

$madeUp = static function (int $domain, int $from) use ($count, $atOnce): array {
    $rankings = [];
    for ($number = $from; $number < min($count, $from + $atOnce); ++$number) {
        if (($number * 7 + $domain * 3) % 5 !== 0) {
            $rankings[] = new Ranking(
                sprintf('some keyword number %07d', $number),
                1 + (($number * 13 + $domain * 29) % 100),
                "https://domain-{$domain}.example/page-" . intdiv($number, 12),
            );
        }
    }

    return $rankings;
};
$stream = static function (int $domain) use ($count, $atOnce, $madeUp, &$stopped): Generator {
    for ($from = 0; $from < $count; $from += $atOnce) {
        $since = hrtime(true);
        $rankings = $madeUp($domain, $from);
        $stopped += hrtime(true) - $since;
        foreach ($rankings as $ranking) {
            yield $ranking;
        }
    }
};
$streams = static fn(): array => array_map($stream, range(0, 5));
$none = array_fill(0, 6, null);
$known = array_map(
    static fn(int $number): Metrics => new Metrics(10 * ($number % 997), ($number % 1000) / 10, ($number % 400) / 100),
    range(0, 9_999),
);
$metrics = static fn(int $number): Metrics => $known[$number % 10_000];

$compare = static function () use ($streams, $none): void {
    foreach ((new Comparator())->rows($streams(), $none, []) as $row) {
        $row->standing;
    }
};
$weigh = static function () use ($streams, $none, $metrics): void {
    $weigher = new Weigher(
        Rulebook::standard()->weighing(),
        UnlearntModels::of(),
        BrandMatcher::of([['our own'], ['brand one'], ['brand two'], ['three'], ['four'], ['five']]),
    );
    $judgement = new Judgement();
    foreach ((new Comparator())->rows($streams(), $none, []) as $number => $row) {
        $weigher->weigh(new Candidate($row, $metrics($number), $judgement, Ground::none()));
    }
};
$topics = static function () use ($count, $metrics): void {
    $stemmer = new class implements Stemmer {
        public function stems(array $words): array
        {
            return array_combine($words, $words);
        }
    };
    $graph = new PageGraph();
    $builder = new TopicBuilder(2, $stemmer, $graph);
    for ($number = 0; $number < $count; ++$number) {
        $keyword = sprintf('some keyword number %07d', $number);
        $pages = [];
        for ($domain = 0; $domain < 3; ++$domain) {
            $pages[] = [new Ranking($keyword, 1 + ($number + $domain) % 20, "https://domain-{$domain}.example/page-".intdiv($number, 8))];
        }
        $builder->add($keyword, $metrics($number)->volume);
        $graph->add($pages);
    }
    $builder->build();
};
$learn = static function () use ($count, $metrics, &$stopped): void {
    $graph = new PageGraph();
    $grounds = new GroundIndex(6);
    $observations = new PositionObservations([20.0, 34.0, 41.0, 55.0, 62.0, 78.0], range(0, 5));
    for ($number = 0; $number < $count; ++$number) {
        $since = hrtime(true);
        $keyword = sprintf('some keyword number %07d', $number);
        $rankings = [];
        for ($domain = 0; $domain < 6; ++$domain) {
            $position = 1 + crc32("{$domain} {$number}") % 140;
            $rankings[] = $position > 100
                ? []
                : [new Ranking($keyword, $position, "https://domain-{$domain}.example/page-".intdiv($number, 12))];
        }
        $positions = array_map(static fn (array $pages): ?int => $pages === [] ? null : $pages[0]->position, $rankings);
        $stopped += hrtime(true) - $since;
        $grounds->add($graph->add($rankings), $positions);
        $observations->add($keyword, $metrics($number)->difficulty, $positions, false);
    }
    $groups = $observations->groups($grounds, static fn (): null => null);
    $comfort = ComfortDifficulty::fromDifficulties([]);
    PositionModel::learn($groups, true, 1.0, $comfort, 20.0)->judged($groups, true, 1.0, $comfort);
};
$steady = static function () use ($count): void {
    $score = static fn (string $what, int $number): float => crc32("{$what} {$number}") % 50_001 / 10_000;
    $criteria = array_column(Weights::standard()->criteria(), 'value');
    $scores = (static function () use ($count, $score, $criteria): Generator {
        for ($number = 0; $number < $count; ++$number) {
            yield array_map(static fn (string $name): float => $score($name, $number), $criteria);
        }
    })();
    Steadiness::ofScores($scores, count($criteria), 500, 20, 1);
};
$plan = static function () use ($count): void {
    $items = [];
    for ($number = 0; $number < $count; ++$number) {
        $items[] = new WorkItem('keyword '.$number, 1 + $number % 9 / 4, $number * 7919 % 100_003 / 10);
    }
    (new AutoPlan(6, 20))->place($items);
};
$start = hrtime(true);
['compare' => $compare, 'learn' => $learn, 'weigh' => $weigh, 'topics' => $topics, 'steady' => $steady, 'plan' => $plan][$what]();
printf("%.4f %d\n", (hrtime(true) - $start - $stopped) / 1e9, intdiv(memory_get_peak_usage(true), 1024 * 1024));
