<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Role;
use App\Models\User;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;

/**
 * Who may do what, decided for every route alike, those that are added later among them: rows of the own shop only, by
 * their policies; changes by makers and owners; what is named `owner.` by owners; what is named `anyone.` by viewers too. A token
 * does what its scopes say, and nothing that is named `owner.` or `account.`.
 */
final class Permitted
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);
        $safe = $request->isMethodSafe();
        $name = $request->route()?->getName() ?? '';
        if ($user->currentAccessToken() instanceof PersonalAccessToken) {
            abort_if(str_starts_with($name, 'owner.') || str_starts_with($name, 'account.'), 403, 'A token may not do this: sign in.');
            abort_unless($user->tokenCan($safe ? 'look' : 'change'), 403, 'The scopes of this token do not allow this.');
        }
        abort_if(str_starts_with($name, 'owner.') && $user->role !== Role::Owner, 403, 'Only an owner of the shop may do this.');
        $open = $safe || str_starts_with($name, 'anyone.') || str_starts_with($name, 'account.');
        abort_unless($open || $user->role->makes(), 403, 'You may look, comment and approve; changes are for makers and owners.');
        foreach ($request->route()?->parameters() ?? [] as $bound) {
            if ($bound instanceof Model) {
                Gate::forUser($user)->authorize($safe ? 'view' : 'change', $bound);
            }
        }

        return $next($request);
    }
}
