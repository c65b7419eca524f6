<?php

declare(strict_types=1);

use App\Http\Controllers\OwnAccessController;
use App\Http\Controllers\PersonController;
use Illuminate\Support\Facades\Route;

// How a person gets in, and who may at all.
Route::get('sessions', [OwnAccessController::class, 'sessions']);
Route::delete('sessions', [OwnAccessController::class, 'endSessions']);
Route::post('second-factor', [OwnAccessController::class, 'beginFactor']);
Route::put('second-factor', [OwnAccessController::class, 'confirmFactor'])->middleware('throttle:sign-in');
Route::delete('second-factor', [OwnAccessController::class, 'removeFactor'])->middleware('throttle:sign-in');
Route::get('people', [PersonController::class, 'index']);
Route::post('people', [PersonController::class, 'store']);
Route::patch('people/{person}', [PersonController::class, 'update'])->whereNumber('person');
Route::delete('people/{person}', [PersonController::class, 'destroy'])->whereNumber('person');
Route::post('people/{person}/link', [PersonController::class, 'reset'])->whereNumber('person');
Route::delete('people/{person}/sessions', [PersonController::class, 'signOut'])->whereNumber('person');
Route::delete('people/{person}/second-factor', [PersonController::class, 'takeSecondFactor'])->whereNumber('person');
