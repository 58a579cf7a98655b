<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Pass;
use App\Models\PassKind;
use App\Models\Role;
use App\Models\Shop;
use App\Models\User;
use Illuminate\Validation\ValidationException;

/** User accounts of a shop: invitations, and changes of role and password. */
final readonly class Accounts
{
    public function __construct(
        private Passes $passes,
        private Sessions $sessions,
    ) {}

    /** @throws SignInRefused|ValidationException */
    public function join(string $pass, string $name, string $login, string $password): User
    {
        return $this->passes->take(PassKind::Invitation, $pass, function (Pass $pass) use ($name, $login, $password): User {
            if (User::query()->where('login', $login)->exists()) {
                throw ValidationException::withMessages(['login' => 'Somebody signs in by this name already. Choose another.']);
            }

            return $this->add($pass->shop, $pass->role ?? Role::Viewer, $name, $login, $password);
        }) ?? throw SignInRefused::spent();
    }

    public function add(Shop $shop, Role $role, string $name, string $login, ?string $password): User
    {
        return User::query()->create(['shop_id' => $shop->id, 'role' => $role, 'name' => $name, 'login' => SignIn::login($login), 'password' => $password])->refresh();
    }

    /** @throws SignInRefused */
    public function reset(string $pass, string $login, string $password): User
    {
        return $this->passes->take(PassKind::Reset, $pass, function (Pass $pass) use ($login, $password): User {
            if ($pass->user === null || $pass->user->login !== $login) {
                throw SignInRefused::spent();
            }
            $this->setPassword($pass->user, $password);

            return $pass->user;
        }) ?? throw SignInRefused::spent();
    }

    /** Sets a new password and ends all sessions of the person. */
    public function setPassword(User $user, string $password): void
    {
        $user->update(['password' => $password]);
        $this->sessions->endAll($user);
    }

    /** @throws ValidationException if no owner would be left */
    public function changeRole(User $user, Role $role): void
    {
        if ($role !== Role::Owner) {
            $this->keepAnOwner($user);
        }
        $user->update(['role' => $role]);
    }

    /** @throws ValidationException */
    public function remove(User $user): void
    {
        $this->keepAnOwner($user);
        $user->tokens()->delete();
        $user->delete();
    }

    private function keepAnOwner(User $user): void
    {
        if (! User::query()->where('shop_id', $user->shop_id)->where('role', Role::Owner)->whereKeyNot($user->id)->exists()) {
            throw ValidationException::withMessages(['role' => 'The shop needs an owner. Make somebody else an owner first.']);
        }
    }
}
