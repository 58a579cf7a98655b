<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\CodeSetup;
use App\Http\Answers\Me;
use App\Http\Answers\Secret;
use App\Http\Answers\TokenCard;
use App\Models\User;
use App\People\Accounts;
use App\People\PasswordRule;
use App\People\Sessions;
use App\People\SignIn;
use App\People\Totp;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** The user's own account: password, one-time codes, tokens, sessions. */
final readonly class AccountController
{
    public function __construct(private Sessions $sessions) {}

    public function show(#[CurrentUser] User $user): Me
    {
        return Me::of($user);
    }

    public function password(Request $request, #[CurrentUser] User $user, Accounts $accounts): Me
    {
        $request->validate(['password' => ['required', 'string', new PasswordRule($user->login)]]);
        $this->confirm($request, $user);
        $accounts->setPassword($user, $request->string('password')->toString());
        $this->sessions->begin($request, $user->refresh());

        return Me::of($user);
    }

    /** Creates a new secret, which becomes active once a code from it was entered. */
    public function prepareCodes(Request $request, #[CurrentUser] User $user): CodeSetup
    {
        $this->confirm($request, $user);
        abort_if($user->totp_on, 422, 'Codes are on. Switch them off before you set up another phone.');
        $secret = Totp::secret();
        $user->update(['totp_secret' => $secret, 'totp_step' => 0]);

        return new CodeSetup($secret, Totp::uri($secret, $user->login));
    }

    public function startCodes(Request $request, #[CurrentUser] User $user, SignIn $signIn): Me
    {
        if (! $signIn->spend($user, $request->string('code')->toString())) {
            throw ValidationException::withMessages(['code' => 'This is not the code that the phone shows now. Are the clocks right?']);
        }
        $user->refresh()->update(['totp_on' => true]);

        return Me::of($user);
    }

    public function stopCodes(Request $request, #[CurrentUser] User $user): Me
    {
        $this->confirm($request, $user);
        $user->update(['totp_on' => false, 'totp_secret' => null]);

        return Me::of($user);
    }

    public function signOutEverywhere(Request $request, #[CurrentUser] User $user): Response
    {
        $this->sessions->endAll($user);
        $this->sessions->end($request);

        return response()->noContent();
    }

    /** @return array<int, TokenCard> */
    public function tokens(#[CurrentUser] User $user): array
    {
        return $user->tokens()->orderByDesc('id')->get()->map(TokenCard::of(...))->all();
    }

    public function makeToken(Request $request, #[CurrentUser] User $user): JsonResponse
    {
        $asked = $request->validate(['name' => ['required', 'string', 'max:80'], 'scopes' => ['required', 'array', 'min:1', 'max:2'], 'scopes.*' => ['in:look,change', 'distinct']]);
        /** @var array{name: string, scopes: list<string>} $asked */
        abort_if($user->tokens()->count() >= 50, 422, 'Fifty tokens are the most. Take back one that is no longer used.');

        return (new Secret($user->createToken($asked['name'], $asked['scopes'])->plainTextToken))->created();
    }

    public function dropToken(int $token, #[CurrentUser] User $user): Response
    {
        abort_unless($user->tokens()->whereKey($token)->delete() === 1, 404, 'There is no such token.');

        return response()->noContent();
    }

    /** Users with a password must enter it again before changing credentials. */
    private function confirm(Request $request, User $user): void
    {
        if ($user->password !== null && ! Hash::check($request->string('current')->toString(), $user->password)) {
            throw ValidationException::withMessages(['current' => 'This is not your present password.']);
        }
    }
}
