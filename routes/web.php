<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\ComparisonController;
use App\Http\Controllers\DecisionController;
use App\Http\Controllers\DomainController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\KeywordController;
use App\Http\Controllers\KeywordListController;
use App\Http\Controllers\LensController;
use App\Http\Controllers\OpenApiController;
use App\Http\Controllers\OpportunityController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanDraftController;
use App\Http\Controllers\PullController;
use App\Http\Controllers\RulebookController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\UploadController;
use App\Http\Controllers\ViewController;
use App\Http\Controllers\VocabularyController;
use App\Http\Controllers\WeightPresetController;
use App\Http\Controllers\WorkbenchController;
use App\Http\Middleware\TokenAbilities;
use Illuminate\Support\Facades\Route;

Route::prefix('api/v1')->group(function (): void {
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('session', [SessionController::class, 'show']);

    Route::middleware(['auth:web,sanctum', TokenAbilities::class])->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::patch('session', [SessionController::class, 'update'])->middleware('throttle:sign-in');
        Route::get('openapi.json', [OpenApiController::class, 'show']);
        Route::get('tokens', [TokenController::class, 'index']);
        Route::post('tokens', [TokenController::class, 'store']);
        Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->whereNumber('token');
        Route::get('vocabulary', [VocabularyController::class, 'show']);
        Route::get('sources', [SourceController::class, 'index']);
        Route::get('studies', [StudyController::class, 'index']);
        Route::post('studies', [StudyController::class, 'store']);

        Route::prefix('studies/{study:slug}')->middleware('can:view,study')->group(function (): void {
            Route::get('', [StudyController::class, 'show']);
            Route::get('domains', [DomainController::class, 'index']);
            Route::get('candidates', [DomainController::class, 'candidates']);
            Route::get('related', [KeywordListController::class, 'related']);
            Route::post('terms', [KeywordListController::class, 'terms']);
            Route::get('curve', [SourceController::class, 'curve']);
            Route::get('imports', [ImportController::class, 'index']);
            Route::get('tasks', [TaskController::class, 'index']);
            Route::get('tasks/{task}', [TaskController::class, 'show'])->whereNumber('task');
            Route::get('tasks/{task}/bad-rows.csv', [TaskController::class, 'badRows'])->whereNumber('task');
            Route::get('rulebook', [RulebookController::class, 'show']);
            Route::get('rulebook/history', [RulebookController::class, 'history']);
            Route::post('rulebook/preview', [RulebookController::class, 'preview']);
            Route::get('comparison', [ComparisonController::class, 'show']);
            Route::get('bench', [BenchController::class, 'index']);
            Route::get('bench/summary', [BenchController::class, 'summary']);
            Route::get('bench/distribution', [BenchController::class, 'distribution']);
            Route::get('bench/pages', [ViewController::class, 'pages']);
            Route::get('bench/movement', [ViewController::class, 'movement']);
            Route::get('bench/advertising', [ViewController::class, 'advertising']);
            Route::get('bench/page-one', [ViewController::class, 'pageOne']);
            Route::get('bench/noise', [ViewController::class, 'noise']);
            Route::get('lenses', [LensController::class, 'index']);
            Route::get('weight-presets', [WeightPresetController::class, 'index']);
            Route::get('tags', [DecisionController::class, 'tags']);
            Route::get('plan', [PlanController::class, 'show']);
            Route::get('plan/proposal', [PlanController::class, 'proposal']);
            Route::get('plan/items/{item}/brief', [PlanController::class, 'brief'])->whereNumber('item');
            Route::get('plan/items/{item}/brief.{format}', [PlanController::class, 'briefFile'])->whereNumber('item')->whereIn('format', ['md', 'html', 'odt']);
            Route::get('track', [PlanController::class, 'track']);
            Route::get('opportunities', [OpportunityController::class, 'index']);
            Route::get('opportunities/groups', [OpportunityController::class, 'groups']);
            Route::get('opportunities/map', [OpportunityController::class, 'map']);
            Route::get('opportunities/steadiness', [OpportunityController::class, 'steadiness']);
            Route::get('keyword', [KeywordController::class, 'show']);
            Route::get('exports/plan.{format}', [ExportController::class, 'plan'])->whereIn('format', ['csv', 'json', 'xlsx', 'ics']);
            Route::get('exports/roadmap.{format}', [ExportController::class, 'roadmap'])->whereIn('format', ['csv', 'json', 'xlsx', 'ics']);
            Route::get('exports/review.html', [PlanController::class, 'review']);
            Route::get('exports/{export}', [ExportController::class, 'show']);

            Route::middleware('can:update,study')->group(function (): void {
                Route::patch('', [StudyController::class, 'update']);
                Route::post('imports/preview', [ImportController::class, 'preview']);
                Route::post('imports', [ImportController::class, 'store']);
                Route::delete('imports/{import}', [ImportController::class, 'destroy'])->whereNumber('import');
                Route::post('domains', [DomainController::class, 'store']);
                Route::patch('domains/{domain}', [DomainController::class, 'update'])->whereNumber('domain');
                Route::delete('domains/{domain}', [DomainController::class, 'destroy'])->whereNumber('domain');
                Route::post('keywords', [KeywordListController::class, 'store']);
                Route::post('pulls', [PullController::class, 'store']);
                Route::post('uploads', [UploadController::class, 'store']);
                Route::delete('tasks/{task}', [TaskController::class, 'destroy'])->whereNumber('task');
                Route::post('decisions', [DecisionController::class, 'store']);
                Route::patch('plan', [PlanController::class, 'update']);
                Route::post('plan/items', [PlanController::class, 'add']);
                Route::patch('plan/items/{item}', [PlanController::class, 'change'])->whereNumber('item');
                Route::delete('plan/items/{item}', [PlanController::class, 'remove'])->whereNumber('item');
                Route::post('plan/drafts', [PlanDraftController::class, 'store']);
                Route::patch('plan/drafts/{draft}', [PlanDraftController::class, 'update'])->whereNumber('draft');
                Route::delete('plan/drafts/{draft}', [PlanDraftController::class, 'destroy'])->whereNumber('draft');
                Route::post('plan/drafts/{draft}/agree', [PlanDraftController::class, 'agree'])->whereNumber('draft');
                Route::post('plan/apply', [PlanController::class, 'apply']);
                Route::post('plan/undo', [PlanController::class, 'undo']);
                Route::post('decisions/undo', [DecisionController::class, 'undo']);
                Route::post('weight-presets', [WeightPresetController::class, 'store']);
                Route::delete('weight-presets/{preset}', [WeightPresetController::class, 'destroy'])->whereNumber('preset');
                Route::post('lenses', [LensController::class, 'store']);
                Route::delete('lenses/{lens}', [LensController::class, 'destroy'])->whereNumber('lens');
                Route::patch('rulebook', [RulebookController::class, 'update']);
                Route::post('rulebook/revert', [RulebookController::class, 'revert']);
            });
        });
        Route::fallback(static fn() => abort(404));
    });
});

Route::get('/{path?}', [WorkbenchController::class, 'show'])->where('path', '(?!api/|build/).*');
