<?php

declare(strict_types=1);

use App\Http\Controllers\PageController;
use Illuminate\Support\Facades\Route;

// One page; the stations are the browser's.
Route::get('/{station?}', PageController::class)->where('station', '^(?!api/|up$|metrics$|build/).*$');
