<?php

declare(strict_types=1);

use App\Http\Controllers\AnnotationController;
use App\Http\Controllers\BriefLinkController;
use App\Http\Controllers\DecisionController;
use App\Http\Controllers\DomainController;
use App\Http\Controllers\GoalController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\KeywordListController;
use App\Http\Controllers\LensController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanDraftController;
use App\Http\Controllers\PullController;
use App\Http\Controllers\RulebookController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\UploadController;
use App\Http\Controllers\WeightPresetController;
use App\Http\Middleware\PrepareReviewAfterResponse;
use Illuminate\Support\Facades\Route;

// What needs somebody who may change the study.
Route::patch('', [StudyController::class, 'update']);
Route::delete('', [StudyController::class, 'destroy']);
Route::post('imports/preview', [ImportController::class, 'preview']);
Route::post('imports', [ImportController::class, 'store']);
Route::delete('imports/{import}', [ImportController::class, 'destroy'])->whereNumber('import');
Route::post('domains', [DomainController::class, 'store']);
Route::patch('domains/{domain}', [DomainController::class, 'update'])->whereNumber('domain');
Route::delete('domains/{domain}', [DomainController::class, 'destroy'])->whereNumber('domain');
Route::post('keywords', [KeywordListController::class, 'store']);
Route::put('pull-schedule', [PullController::class, 'schedule']);
Route::delete('pull-schedule', [PullController::class, 'endSchedule']);
Route::post('annotations', [AnnotationController::class, 'store']);
Route::delete('annotations/{annotation}', [AnnotationController::class, 'destroy'])->whereNumber('annotation');
Route::post('pulls', [PullController::class, 'store']);
Route::post('uploads', [UploadController::class, 'store']);
Route::patch('uploads/{upload}', [UploadController::class, 'update'])->whereUuid('upload');
Route::delete('uploads/{upload}', [UploadController::class, 'destroy'])->whereUuid('upload');
Route::delete('tasks/{task}', [TaskController::class, 'destroy'])->whereNumber('task');
Route::middleware(PrepareReviewAfterResponse::class)->group(static function (): void {
    Route::post('decisions', [DecisionController::class, 'store']);
    Route::patch('plan', [PlanController::class, 'update']);
    Route::put('plan/owners', [PlanController::class, 'setOwner']);
    Route::post('plan/items', [PlanController::class, 'add']);
    Route::patch('plan/items/{item}', [PlanController::class, 'change'])->whereNumber('item');
    Route::delete('plan/items/{item}', [PlanController::class, 'remove'])->whereNumber('item');
    Route::post('plan/drafts/{draft}/agree', [PlanDraftController::class, 'agree'])->whereNumber('draft');
    Route::post('plan/apply', [PlanController::class, 'apply']);
    Route::post('plan/undo', [PlanController::class, 'undo']);
    Route::post('decisions/undo', [DecisionController::class, 'undo']);
});
Route::get('plan/items/{item}/links', [BriefLinkController::class, 'index'])->whereNumber('item');
Route::post('plan/items/{item}/links', [BriefLinkController::class, 'store'])->whereNumber('item');
Route::delete('plan/items/{item}/links/{link}', [BriefLinkController::class, 'destroy'])->whereNumber(['item', 'link']);
Route::post('plan/goal', [GoalController::class, 'store']);
Route::post('plan/drafts', [PlanDraftController::class, 'store']);
Route::patch('plan/drafts/{draft}', [PlanDraftController::class, 'update'])->whereNumber('draft');
Route::delete('plan/drafts/{draft}', [PlanDraftController::class, 'destroy'])->whereNumber('draft');
Route::post('weight-presets', [WeightPresetController::class, 'store']);
Route::delete('weight-presets/{preset}', [WeightPresetController::class, 'destroy'])->whereNumber('preset');
Route::post('lenses', [LensController::class, 'store']);
Route::delete('lenses/{lens}', [LensController::class, 'destroy'])->whereNumber('lens');
Route::patch('rulebook', [RulebookController::class, 'update']);
Route::post('rulebook/revert', [RulebookController::class, 'revert']);
