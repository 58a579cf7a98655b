<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'sanctum', 'passwords' => null],
    // Sanctum asks the session first, then a bearer token.
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'users']],
    'providers' => ['users' => ['driver' => 'eloquent', 'model' => App\Models\User::class]],
    'password_timeout' => 900,
];
