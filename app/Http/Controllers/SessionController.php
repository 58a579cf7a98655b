<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Me;
use App\Http\Requests\Entering;
use App\Http\Requests\SigningIn;
use App\Models\PassKind;
use App\Models\User;
use App\People\Accounts;
use App\People\Journal;
use App\People\Passes;
use App\People\Sessions;
use App\People\SignIn;
use App\People\SignInRefused;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Signing in by password, demo link, invitation or reset; signing out. */
final readonly class SessionController
{
    public function __construct(
        private Sessions $sessions,
        private Passes $passes,
    ) {}

    public function store(SigningIn $request, SignIn $signIn): Me
    {
        return $this->begin($request, $signIn->byPassword($request->login(), $request->string('password')->toString(), $request->string('code')->toString(), (string) $request->ip()), 'signed in');
    }

    /** By the link that the demo prints at its start: only from this machine. */
    public function enter(Request $request): Me
    {
        abort_unless(in_array($request->server('REMOTE_ADDR'), ['127.0.0.1', '::1'], true), 403, 'This link opens the shop on its own machine only.');
        $user = $this->passes->take(PassKind::Entry, $request->string('pass')->toString(), fn ($pass) => $pass->user);

        return $this->begin($request, $user ?? throw SignInRefused::spent(), 'entered by the link of the start');
    }

    public function join(Entering $request, Accounts $accounts): Me
    {
        return $this->begin($request, $accounts->join($request->pass(), $request->name(), $request->login(), $request->password()), 'joined the shop');
    }

    public function reset(Entering $request, Accounts $accounts): Me
    {
        return $this->begin($request, $accounts->reset($request->pass(), $request->login(), $request->password()), 'set a new password by a code');
    }

    public function destroy(Request $request): Response
    {
        $this->sessions->end($request);

        return response()->noContent();
    }

    private function begin(Request $request, User $user, string $what): Me
    {
        $this->sessions->begin($request, $user);
        Journal::write($user->shop_id, $user, $what);

        return Me::of($user);
    }
}
