<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Changes are taken only from our own pages: browsers name the page that asks, and no cookie is trusted. */
final class SameOrigin
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! $request->isMethodSafe()) {
            $site = $request->headers->get('Sec-Fetch-Site');
            $origin = $request->headers->get('Origin');
            $ours = $site === 'same-origin' || $origin === $request->getSchemeAndHttpHost() || ($site === null && $origin === null);
            abort_unless($ours, 403, 'This change was asked for by another site and was refused.');
        }

        return $next($request);
    }
}
