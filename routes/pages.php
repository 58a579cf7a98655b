<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

// One page; the stations are the browser's.
Route::view('/{station?}', 'bench')->where('station', '^(?!api/|up$|metrics$|build/).*$');
