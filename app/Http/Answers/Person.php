<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\Role;
use App\Models\User;

/** A member of the shop, as shown to its owner. */
final readonly class Person extends Answer
{
    public function __construct(
        public int $id,
        public string $name,
        public string $login,
        public Role $role,
        public bool $password,
        public bool $codes,
    ) {}

    public static function of(User $user): self
    {
        return new self($user->id, $user->name, $user->login, $user->role, $user->password !== null, $user->totp_on);
    }
}
