<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Accepts only configured host names, to prevent DNS rebinding. */
final class KnownHost
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        /** @var list<string> $hosts */
        $hosts = config('crow.hosts');
        abort_unless(in_array($request->getHost(), $hosts, true), 421, 'This address does not serve that host. Set CROW_HOSTS to allow it.');

        return $next($request);
    }
}
