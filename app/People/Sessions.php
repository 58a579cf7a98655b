<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Auth\SessionGuard;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Signed-in sessions. Ending all sessions of a person increases their era; a session is valid only in the era in which it began. */
final class Sessions
{
    private const ERA = 'era';

    public function begin(Request $request, User $user): void
    {
        self::guard()->login($user);
        $request->session()->regenerate();
        $request->session()->put(self::ERA, $user->session_era);
        Auth::guard('sanctum')->setUser($user);
    }

    public function isCurrent(Request $request, User $user): bool
    {
        return $request->session()->get(self::ERA) === $user->session_era;
    }

    public function end(Request $request): void
    {
        self::guard()->logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    /** Ends all sessions of the person. */
    public function endAll(User $user): void
    {
        $user->increment('session_era');
    }

    private static function guard(): SessionGuard
    {
        return Auth::guard('web');
    }
}
