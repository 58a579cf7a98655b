<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Role;
use App\Models\User;

/** Who is signed in. */
final readonly class Me extends Answer
{
    public function __construct(
        public string $name,
        public string $login,
        public Role $role,
        public string $shop,
        public bool $password,
        public bool $codes,
    ) {}

    public static function of(User $user): self
    {
        return new self($user->name, $user->login, $user->role, $user->shop->name, $user->password !== null, $user->totp_on);
    }
}
