<?php

declare(strict_types=1);

use App\Http\Controllers\FeedController;
use App\Http\Controllers\HealthController;
use App\Http\Controllers\MetricsController;
use App\Http\Middleware\AnswerOnce;
use App\Http\Middleware\CloseShops;
use App\Http\Middleware\CsrfToken;
use App\Http\Middleware\CurrentSession;
use App\Http\Middleware\EnterShop;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\Permitted;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\SoundInput;
use App\Http\Middleware\WriteJournal;
use App\Http\Problems;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\ValidatePostSize;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        then: function (): void {
            Route::middleware(['session', 'throttle:doors'])->prefix('api')->group(__DIR__.'/../routes/doors.php');
            Route::get('calendar/{secret}.ics', FeedController::class)->middleware('throttle:doors');
            Route::get('up', HealthController::class);
            Route::get('metrics', MetricsController::class);
            Route::middleware(['session'])->group(__DIR__.'/../routes/pages.php');
        },
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->use([KnownHost::class, SecurityHeaders::class, CloseShops::class, ValidatePostSize::class]);
        $session = [SoundInput::class, EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class, CsrfToken::class];
        $middleware->group('session', $session);
        // Rows are looked up only once it is known whose shop this is.
        $middleware->group('api', [...$session, 'auth:sanctum', CurrentSession::class, EnterShop::class, SubstituteBindings::class, Permitted::class, AnswerOnce::class, WriteJournal::class]);
        $middleware->redirectGuestsTo(fn (): string => '/sign-in');
    })
    ->withExceptions(Problems::register(...))
    ->create();
