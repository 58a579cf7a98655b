<?php

declare(strict_types=1);

use App\Http\Controllers\SessionController;
use Illuminate\Support\Facades\Route;

// For people who are not signed in: nothing here reads a row of a shop's but what the door itself needs.
Route::post('session', [SessionController::class, 'store']);
Route::delete('session', [SessionController::class, 'destroy']);
Route::post('session/enter', [SessionController::class, 'enter']);
Route::post('session/join', [SessionController::class, 'join']);
Route::post('session/reset', [SessionController::class, 'reset']);
