<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/**
 * The framework's CSRF protection, for all changes that are not authenticated by a bearer token. (Another site cannot send that
 * header, since the CORS preflight request is refused.) It is also active in tests.
 */
final class CsrfToken extends ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return $request->bearerToken() !== null || parent::inExceptArray($request);
    }

    protected function runningUnitTests(): bool
    {
        return false;
    }
}
