<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Role;
use App\Models\Shop;
use App\Models\User;
use App\People\Accounts;
use App\People\PasswordRule;
use App\People\SignIn;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

/** Sets an owner's password, or creates an owner, from the command line of the server. */
final class OwnerCommand extends Command
{
    protected $signature = 'crow:owner {login? : Sign-in name} {--shop= : Name of the shop, a new one where there is none of it} {--check : Only say whether an owner has a password}';

    protected $description = 'Make an owner, or give one a new password';

    public function handle(Accounts $accounts): int
    {
        if ($this->option('check') === true) {
            return User::query()->where('role', Role::Owner)->whereNotNull('password')->exists() ? self::SUCCESS : self::FAILURE;
        }
        $login = SignIn::login((string) $this->argument('login'));
        if (strlen($login) < 3) {
            $this->error('Name the owner: bin/artisan crow:owner NAME');

            return self::FAILURE;
        }
        $password = $this->typedPassword();
        $checked = Validator::make(['password' => $password], ['password' => ['required', new PasswordRule($login)]]);
        if ($checked->fails()) {
            $this->error($checked->errors()->first());

            return self::FAILURE;
        }
        $user = User::query()->where('login', $login)->first() ?? $accounts->add($this->shop(), Role::Owner, $login, $login, null);
        $accounts->setPassword($user, $password);
        $this->info("$login is an owner of {$user->shop->name} and signs in with this password.");

        return self::SUCCESS;
    }

    private function shop(): Shop
    {
        $name = $this->option('shop');

        return is_string($name) ? Shop::query()->firstOrCreate(['name' => $name]) : Shop::query()->firstOrFail();
    }

    /** Read from a pipe, or typed without echo. */
    private function typedPassword(): string
    {
        if (! stream_isatty(STDIN)) {
            return trim((string) fgets(STDIN));
        }
        $typed = $this->secret('Password');

        return is_string($typed) ? $typed : '';
    }
}
