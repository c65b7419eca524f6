<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\ComparisonController;
use App\Http\Controllers\DecisionController;
use App\Http\Controllers\DomainController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\FindingController;
use App\Http\Controllers\GoalController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\KeywordController;
use App\Http\Controllers\KeywordListController;
use App\Http\Controllers\LensController;
use App\Http\Controllers\OpportunityController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RulebookController;
use App\Http\Controllers\ShownExportController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\ViewController;
use App\Http\Controllers\WeightPresetController;
use App\Http\Middleware\PrepareReviewAfterResponse;
use App\Http\Middleware\ReadFromReplica;
use Illuminate\Support\Facades\Route;

// What everybody who may see a study can ask.
// What may be a second old, as long as it is not by the person who asks.
Route::middleware(ReadFromReplica::class)->group(static function (): void {
    Route::get('domains', [DomainController::class, 'index']);
    Route::get('related', [KeywordListController::class, 'related']);
    Route::get('curve', [SourceController::class, 'curve']);
    Route::get('effect', [SourceController::class, 'effect']);
    Route::get('rulebook', [RulebookController::class, 'show']);
    Route::get('rulebook/open-words', [RulebookController::class, 'openWords']);
    Route::get('rulebook/history', [RulebookController::class, 'history']);
    Route::get('bench', [BenchController::class, 'index']);
    Route::get('bench/summary', [BenchController::class, 'summary']);
    Route::get('bench/steps', [BenchController::class, 'steps']);
    Route::get('bench/distribution', [BenchController::class, 'distribution']);
    Route::get('bench/pages', [ViewController::class, 'pages']);
    Route::get('bench/ours', [ViewController::class, 'ours']);
    Route::get('bench/movement', [ViewController::class, 'movement']);
    Route::get('bench/advertising', [ViewController::class, 'advertising']);
    Route::get('bench/page-one', [ViewController::class, 'pageOne']);
    Route::get('bench/noise', [ViewController::class, 'noise']);
    Route::get('lenses', [LensController::class, 'index']);
    Route::get('weight-presets', [WeightPresetController::class, 'index']);
    Route::get('tags', [DecisionController::class, 'tags']);
    Route::get('reasons', [DecisionController::class, 'reasons']);
    Route::get('plan', [PlanController::class, 'show']);
    Route::get('plan/goal', [GoalController::class, 'show']);
    Route::get('track', [PlanController::class, 'track']);
    Route::get('opportunities', [OpportunityController::class, 'index']);
    Route::get('opportunities/topics', [OpportunityController::class, 'topics']);
    Route::get('opportunities/hidden', [OpportunityController::class, 'hidden']);
    Route::get('opportunities/groups', [OpportunityController::class, 'groups']);
    Route::get('opportunities/map', [OpportunityController::class, 'map']);
    Route::get('keyword', [KeywordController::class, 'show']);
});
Route::get('', [StudyController::class, 'show'])->middleware(PrepareReviewAfterResponse::class);
Route::get('findings', [FindingController::class, 'index']);
Route::get('troubled-pages', [ViewController::class, 'troubledPages']);
Route::get('candidates', [DomainController::class, 'candidates']);
Route::post('terms', [KeywordListController::class, 'terms']);
Route::get('imports', [ImportController::class, 'index']);
Route::get('tasks', [TaskController::class, 'index']);
Route::get('tasks/{task}', [TaskController::class, 'show'])->whereNumber('task');
Route::get('tasks/{task}/file', [TaskController::class, 'file'])->whereNumber('task');
Route::get('tasks/{task}/bad-rows.csv', [TaskController::class, 'badRows'])->whereNumber('task');
Route::post('rulebook/preview', [RulebookController::class, 'preview']);
Route::get('comparison', [ComparisonController::class, 'show']);
Route::post('comparison', [ComparisonController::class, 'store']);
Route::get('plan/proposal', [PlanController::class, 'proposal']);
Route::get('plan/items/{item}/brief', [PlanController::class, 'brief'])->whereNumber('item');
Route::get('plan/items/{item}/brief.{format}', [PlanController::class, 'briefFile'])->whereNumber('item')
    ->whereIn('format', ['md', 'html', 'odt']);
Route::get('opportunities/steadiness', [OpportunityController::class, 'steadiness']);
Route::get('exports/redirects.{format}', [ExportController::class, 'redirects'])->whereIn('format', ['csv', 'json', 'xlsx']);
Route::get('exports/plan.{format}', [ExportController::class, 'plan'])->whereIn('format', ['csv', 'json', 'xlsx', 'ics']);
Route::get('exports/roadmap.{format}', [ExportController::class, 'roadmap'])->whereIn('format', ['csv', 'json', 'xlsx', 'ics']);
Route::get('exports/review.html', [PlanController::class, 'review']);
Route::get('exports/list.{format}', [ShownExportController::class, 'list'])->whereIn('format', ['csv', 'json', 'xlsx']);
Route::post('exports/list', [ShownExportController::class, 'begin']);
Route::post('exports/table.{format}', [ShownExportController::class, 'table'])->whereIn('format', ['csv', 'json', 'xlsx']);
Route::get('exports/{export}', [ExportController::class, 'show']);
