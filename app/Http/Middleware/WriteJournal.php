<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\Journal;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/** Adds a journal entry for every successful change, whatever the route. */
final class WriteJournal
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        $response = $next($request);
        if (! $request->isMethodSafe() && $response->isSuccessful() && $user instanceof User) {
            $token = $user->currentAccessToken();
            Journal::write($user->shop_id, $user, $this->deed($request), [
                'where' => $this->where($request),
                'token' => $token instanceof PersonalAccessToken ? $token->name : null,
            ]);
        }

        return $response;
    }

    /** Derived from the route's name: `jobs.throw-away` becomes "jobs: throw away". */
    private function deed(Request $request): string
    {
        $name = $request->route()?->getName() ?? $request->method().' '.$request->route()?->uri();

        return str_replace(['anyone.', 'owner.', 'account.', '.', '-'], ['', '', '', ': ', ' '], $name);
    }

    private function where(Request $request): string
    {
        $named = [];
        foreach ($request->route()?->parameters() ?? [] as $name => $bound) {
            $key = $bound instanceof Model ? $bound->getKey() : $bound;
            $named[] = is_scalar($key) ? "$name $key" : $name;
        }

        return implode(', ', $named);
    }
}
