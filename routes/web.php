<?php

declare(strict_types=1);

use App\Actions\Plans\ShareBrief;
use App\Http\Controllers\OpenApiController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SharedBriefController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\VocabularyController;
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
            Route::group([], base_path('routes/study.php'));
            Route::middleware('can:update,study')->group(base_path('routes/study-changes.php'));
        });
        Route::fallback(static fn() => abort(404));
    });
});

// For a writer with a link and no account; the signature is looked at beside what became of the link.
Route::middleware('throttle:shared-brief')->group(function (): void {
    Route::get('brief/{link}', [SharedBriefController::class, 'show'])->whereNumber('link')->name(ShareBrief::ROUTE);
    Route::post('brief/{link}', [SharedBriefController::class, 'answer'])->whereNumber('link');
});

Route::get('/{path?}', [WorkbenchController::class, 'show'])->where('path', '(?!api/|build/).*');
