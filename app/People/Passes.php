<?php

declare(strict_types=1);

namespace App\People;

use App\Bench\Saving;
use App\Models\Pass;
use App\Models\PassKind;
use App\Models\Role;
use App\Models\Shop;
use App\Models\User;

/** Creates and redeems one-time secrets. */
final class Passes
{
    /** @return string the secret, shown once: only its hash is kept */
    public function make(Shop $shop, PassKind $kind, ?User $user = null, ?Role $role = null): string
    {
        $secret = rtrim(strtr(base64_encode(random_bytes(24)), '+/', '-_'), '=');
        if ($kind === PassKind::Reset) {
            Pass::query()->where('kind', $kind)->where('user_id', $user?->id)->delete();
        }
        Pass::query()->create([
            'shop_id' => $shop->id, 'user_id' => $user?->id, 'kind' => $kind, 'role' => $role,
            'hash' => hash('sha256', $secret), 'expires_at' => now()->addMinutes($kind->minutes()),
        ]);

        return $secret;
    }

    /** Finds a pass without redeeming it; null if it is unknown, used or expired. */
    public function peek(PassKind $kind, string $secret): ?Pass
    {
        return Pass::query()->with(['user', 'shop'])->where('kind', $kind)->where('hash', hash('sha256', $secret))->where('expires_at', '>', now())->first();
    }

    /**
     * Does what the pass is for and uses it up; two who come at once with the same pass: one of them.
     *
     * @template T
     *
     * @param  \Closure(Pass): T  $work
     * @return ?T null when the pass opens nothing
     */
    public function take(PassKind $kind, string $secret, \Closure $work): mixed
    {
        return Saving::once(function () use ($kind, $secret, $work): mixed {
            $pass = $this->peek($kind, $secret);
            if ($pass === null || Pass::query()->whereKey($pass->id)->delete() !== 1) {
                return null;
            }

            return $work($pass);
        });
    }
}
