<?php

declare(strict_types=1);

use App\Http\Middleware\KnownHost;
use App\Http\Middleware\SameOrigin;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
        then: fn () => Illuminate\Support\Facades\Route::middleware([])->group(__DIR__.'/../routes/pages.php'),
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->use([
            KnownHost::class,
            SameOrigin::class,
            SecurityHeaders::class,
            Illuminate\Http\Middleware\ValidatePostSize::class,
        ]);
        $middleware->group('api', [Illuminate\Routing\Middleware\SubstituteBindings::class]);
    })
    ->withExceptions(Problems::register(...))
    ->create();
