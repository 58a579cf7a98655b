<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

final class SecurityHeaders
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        // Uploaded files are served with a policy of their own that allows no scripts at all.
        $own = $response->headers->get('Content-Security-Policy', '');
        $response->headers->add([
            'Content-Security-Policy' => str_contains((string) $own, 'sandbox') ? $own : implode('; ', [
                "default-src 'none'",
                "script-src 'self'",
                "style-src 'self' 'nonce-$nonce'",
                "img-src 'self' blob: data:",
                "font-src 'self'",
                "connect-src 'self'",
                "manifest-src 'self'",
                "base-uri 'none'",
                "form-action 'self'",
                "frame-ancestors 'none'",
            ]),
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cross-Origin-Opener-Policy' => 'same-origin',
        ]);
        if ($request->isSecure()) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        $response->headers->remove('X-Powered-By');

        return $response;
    }
}
