<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use App\Upkeep\Metrics;
use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Log;

/** Signs people in by name, password and, if enabled, a one-time code. Each failure doubles the waiting time, to slow down guessing. */
final readonly class SignIn
{
    /** Number of failures without a waiting time. */
    private const FREE = 4;

    private const LONGEST_WAIT = 900;

    /** Greatest number of failures from one address within an hour, for all names together. */
    private const FROM_ONE_ADDRESS = 60;

    private const FORGET_AFTER = 3600;

    public function __construct(private RateLimiter $limiter) {}

    /** @throws SignInRefused */
    public function byPassword(string $login, string $password, string $code, string $address): User
    {
        $login = self::login($login);
        $names = 'sign-in:'.hash('sha256', $login);
        $places = 'sign-in:'.$address;
        $this->slow($names, $places);
        $user = User::query()->where('login', $login)->first();
        // Do the same work for unknown names, so that the response time reveals nothing.
        $right = Hash::check($password, $user->password ?? self::decoy());
        if ($user === null || $user->password === null || ! $right) {
            throw $this->failed($names, $places, $user, SignInRefused::wrong());
        }
        if ($user->totp_on) {
            if ($code === '') {
                throw SignInRefused::codeWanted();
            }
            $this->spend($user, $code) || throw $this->failed($names, $places, $user, SignInRefused::wrongCode());
        }
        $this->limiter->clear($names);
        $this->limiter->clear("$names:wait");

        return $user;
    }

    /** Whether the code is currently valid for the person; each code is accepted once. */
    public function spend(User $user, string $code): bool
    {
        $step = $user->totp_secret === null ? null : Totp::step($user->totp_secret, $code, time(), $user->totp_step);

        return $step !== null && User::query()->whereKey($user->id)->where('totp_step', '<', $step)->update(['totp_step' => $step]) === 1;
    }

    /** Login names are compared without case and surrounding spaces. */
    public static function login(string $typed): string
    {
        return mb_strtolower(trim($typed));
    }

    private function slow(string $names, string $places): void
    {
        if ($this->limiter->tooManyAttempts("$names:wait", 1)) {
            throw SignInRefused::wait($this->limiter->availableIn("$names:wait"));
        }
        if ($this->limiter->tooManyAttempts($places, self::FROM_ONE_ADDRESS)) {
            throw SignInRefused::wait($this->limiter->availableIn($places));
        }
    }

    private function failed(string $names, string $places, ?User $user, SignInRefused $refused): SignInRefused
    {
        $count = $this->limiter->hit($names, self::FORGET_AFTER);
        $this->limiter->hit($places, self::FORGET_AFTER);
        if ($count > self::FREE) {
            $this->limiter->hit("$names:wait", (int) min(self::LONGEST_WAIT, 2 ** ($count - self::FREE)));
        }
        Metrics::refused('sign-in');
        Log::notice('A sign-in was refused.', ['user' => $user?->id, 'failures' => $count]);
        if ($user !== null) {
            Journal::write($user->shop_id, $user, 'sign-in refused', ['failures' => $count]);
        }

        return $refused;
    }

    private static function decoy(): string
    {
        return Cache::rememberForever('sign-in:decoy', fn (): string => Hash::make(bin2hex(random_bytes(8))));
    }
}
