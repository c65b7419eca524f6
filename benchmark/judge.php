<?php

declare(strict_types=1);

use Benchmark\Judgement\Judge;
use Benchmark\Judgement\JudgedStudy;
use Benchmark\Judgement\Market;
use Benchmark\Judgement\MarketKind;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../vendor/autoload.php';
foreach (['MarketKind', 'Market', 'JudgedStudy', 'Judge'] as $class) {
    require __DIR__."/judgement/{$class}.php";
}
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const HISTORY = ['2026-03-01', '2026-04-01', '2026-05-01', '2026-06-01'];
const LATER = ['2026-12-01', 9];
const BUDGETS = [20 => [1, 20.0], 60 => [4, 15.0], 150 => [10, 15.0]];
const FINISHED = 20;

$options = getopt('', ['seeds:']);
$seeds = array_map(intval(...), explode(',', (string) ($options['seeds'] ?? '1,2')));
$folder = base_path('var/judge');

/** What the plan captured at the three budgets, beside the naive orders. */
$judged = static function (Judge $judge, JudgedStudy $study, int $seed): array {
    [$pages, $plain] = [$study->pages(), $study->pages('plain')];
    $shares = [];
    foreach (BUDGETS as $days => [$months, $capacity]) {
        $best = $judge->best($days);
        $shares[$days] = array_map(
            static fn(float $won): float => $won / $best,
            ['plan' => $judge->worked($study->plan($months, $capacity), $days + 1e-9), ...$judge->naive($pages, $plain, $days, $seed)],
        );
    }

    return [$shares, $judge->said($study->plan(10, 15.0))];
};
const NAIVE = ['volume', 'volume ÷ difficulty', 'plain average', 'random'];
const COMPARED = 60;
$line = static function (string $name, array $shares, array $said): string {
    $ratio = static fn(array $of): string => $of['pages'] < 3 ? '   –' : sprintf('%4.2f', $of['said'] / max(1e-9, $of['true']));
    $plans = array_map(static fn(array $of): string => sprintf('%.2f', $of['plan']), $shares);
    $naive = array_map(static fn(string $order): string => sprintf('%.2f', $shares[COMPARED][$order]), NAIVE);

    $ratios = $ratio($said['new']).' '.$ratio($said['existing']);

    return sprintf("%-26s %s   %s   %s\n", $name, implode(' ', $plans), implode(' ', $naive), $ratios);
};

echo 'Share of the possible visits: plans of 20, 60 and 150 days, then 60 days by volume, volume ÷ difficulty, the plain average and ',
    "at random;\nthen forecast ÷ truth of the pages planned for 150 days, new and existing.\n\n";
$all = $first = [];
$beaten = 0;
$bands = [0, 0];
foreach ($seeds as $seed) {
    foreach (MarketKind::all() as $number => $kind) {
        $market = new Market($kind, 100 * $seed + $number);
        $study = JudgedStudy::make("judged-{$seed}-{$number}", $market, $folder, $seed);
        foreach (HISTORY as $month => $day) {
            $study->importMonth($month, $day);
        }
        $study->importClicks(3, HISTORY[3]);
        $judge = new Judge($market, 3);
        [$shares, $said] = $judged($judge, $study, $seed);
        echo $line("{$kind->name}, {$seed}", $shares, $said);
        if (! $kind->isOnlyToldByWork) {
            $first[] = $shares[COMPARED]['plan'];
            $beaten += $shares[COMPARED]['plan'] < max(array_intersect_key($shares[COMPARED], array_flip(NAIVE))) ? 1 : 0;
        }

        $chosen = array_slice(array_column($study->plan(...BUDGETS[150]), 'lead', 'item'), 0, FINISHED);
        $items = $study->finish(array_keys($chosen), HISTORY[3], '2026-07');
        foreach ($chosen as $topic => $lead) {
            $band = $items[$topic]->said?->band;
            $gained = $market->gained($judge->topicOf($lead), 1000, 3);
            $bands[0] += $band !== null && $gained >= $band->p10 && $gained <= $band->p90 ? 1 : 0;
            $bands[1] += $band !== null ? 1 : 0;
            $market->work($judge->topicOf($lead), 1000);
        }
        $study->importMonth(LATER[1], LATER[0]);
        [$shares, $said] = $judged(new Judge($market, LATER[1]), $study, $seed);
        echo $line('  after '.FINISHED.' finished pages', $shares, $said);
        $all[] = $shares[COMPARED]['plan'];
    }
}
$mean = static fn(array $shares): float => array_sum($shares) / count($shares);
printf("\nPlans of %d days where rankings can tell: %.2f on average, %.2f in the worst market, ", COMPARED, $mean($first), min($first));
printf("beaten by a naive order in %d of %d.\n", $beaten, count($first));
printf("After %d finished pages, in all markets: %.2f on average, %.2f in the worst.\n", FINISHED, $mean($all), min($all));
printf("Of %d finished pages %.2f lie inside their band of 80 %%.\n", $bands[1], $bands[0] / max(1, $bands[1]));
