<?php

declare(strict_types=1);

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Demo\BestTopics;
use App\Models\Study;
use Illuminate\Contracts\Console\Kernel;
use StandIn\Calendar;
use StandIn\Noise;
use StandIn\WorkedPages;

/*
 * Chooses the pages that the demo's shop works on from a month on, as a team would: down the list that the application ranks as of that
 * month, with some passed over and some taken for other reasons. Run once per round, each on a demo that was loaded with the rounds before:
 * php stand-in/choose.php MONTH MONTHS
 * MONTH counts from 0, December 2025. What was chosen for that month and later is replaced.
 */
require __DIR__.'/../vendor/autoload.php';
/** @var \Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

const PER_MONTH = [3, 2];
/** Of the best pages so many are passed over; of those worked on so many are no best page. */
const PASSED_OVER = .4;
const FOR_OTHER_REASONS = .15;
const LONGEST = 400;

[, $first, $months] = array_map(intval(...), $argv);
$chosen = array_values(array_filter(WorkedPages::chosen(), static fn(array $one): bool => $one['month'] < $first));
$study = Study::query()->where('slug', 'thornfield')->firstOrFail()->load('domains');
$shown = $study->as_of;
$study->update(['as_of' => Calendar::day($first)]);
$comparison = app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()->load('domains')));
$leads = array_values(array_diff(BestTopics::of($study, $comparison, LONGEST), array_column($chosen, 'keyword')));
$study->update(['as_of' => $shown]);

$noise = new Noise($first);
$best = array_values(array_filter($leads, static fn(string $lead): bool => $noise->uniform("passed over {$lead}") > PASSED_OVER));
$others = array_slice($leads, 60);
usort($others, static fn(string $one, string $two): int => $noise->uniform("other {$one}") <=> $noise->uniform("other {$two}"));
for ($month = $first; $month < $first + $months; ++$month) {
    for ($page = 0; $page < PER_MONTH[$month % count(PER_MONTH)]; ++$page) {
        $isOther = $noise->uniform("for other reasons {$month} {$page}") < FOR_OTHER_REASONS;
        $lead = $isOther ? array_shift($others) : array_shift($best);
        if ($lead !== null) {
            $chosen[] = ['month' => $month, 'keyword' => $lead];
        }
    }
}
file_put_contents(WorkedPages::CHOSEN, json_encode($chosen, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR)."\n");
printf("%d pages, the last of them for month %d.\n", count($chosen), $first + $months - 1);
