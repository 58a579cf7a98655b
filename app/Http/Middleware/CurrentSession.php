<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\Sessions;
use Closure;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/** Signs out a session that its owner ended elsewhere. */
final readonly class CurrentSession
{
    public function __construct(private Sessions $sessions) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        // Requests authenticated by a token have no session; merely sending a header does not skip this check.
        if ($user instanceof User && ! $user->currentAccessToken() instanceof PersonalAccessToken && ! $this->sessions->isCurrent($request, $user)) {
            $this->sessions->end($request);
            abort(401, 'You were signed out. Sign in again.');
        }

        return $next($request);
    }
}
