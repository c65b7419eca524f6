<?php

declare(strict_types=1);

use App\Actions\Plans\ShareBrief;
use App\Http\Controllers\AuditController;
use App\Http\Controllers\DigestController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\OpenApiController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SharedBriefController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\StudyController;
use App\Http\Controllers\TokenController;
use App\Http\Controllers\VocabularyController;
use App\Http\Controllers\WelcomeController;
use App\Http\Controllers\WorkbenchController;
use App\Http\Middleware\EndOldSessions;
use App\Http\Middleware\EnsureAccountStatus;
use App\Http\Middleware\TokenAbilities;
use App\Mail\DigestMail;
use Illuminate\Support\Facades\Route;

// Answers also where the database does not, and so knows no session.
Route::get(HealthController::PATH, [HealthController::class, 'show'])->withoutMiddleware('web');

Route::prefix('api/v1')->group(function (): void {
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('session', [SessionController::class, 'show']);

    Route::post('welcome/read', [WelcomeController::class, 'show'])->middleware('throttle:welcome');
    Route::post('welcome', [WelcomeController::class, 'store'])->middleware('throttle:welcome');

    $within = ['auth:web,sanctum', EndOldSessions::class, EnsureAccountStatus::class, TokenAbilities::class, 'throttle:requests'];
    Route::middleware($within)->group(function (): void {
        Route::get('audit', [AuditController::class, 'index']);
        Route::get('metrics', [HealthController::class, 'metrics']);
        Route::get('signed-in', [SessionController::class, 'isSignedIn']);
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::patch('session', [SessionController::class, 'update'])->middleware('throttle:sign-in');
        Route::group([], base_path('routes/access.php'));
        Route::get('openapi.json', [OpenApiController::class, 'show']);
        Route::get('tokens', [TokenController::class, 'index']);
        Route::post('tokens', [TokenController::class, 'store']);
        Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->whereNumber('token');
        Route::get('vocabulary', [VocabularyController::class, 'show']);
        Route::get('sources', [SourceController::class, 'index']);
        Route::get('deleted-studies', [StudyController::class, 'deleted']);
        Route::post('deleted-studies/{slug}/restore', [StudyController::class, 'restore']);
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

Route::middleware('throttle:shared-brief')->group(function (): void {
    Route::get('digest/{subscription}', [DigestController::class, 'confirm'])->whereNumber('subscription')->name(DigestMail::ROUTE);
    Route::post('digest/{subscription}', [DigestController::class, 'end'])->whereNumber('subscription');
});

Route::get('api', [ReferenceController::class, 'show'])->middleware(['auth:web', EndOldSessions::class, EnsureAccountStatus::class]);
Route::get('/{path?}', [WorkbenchController::class, 'show'])->where('path', '(?!api/|build/).*');
