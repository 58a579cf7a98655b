<?php

declare(strict_types=1);

return [
    'guard' => ['web'],
    'routes' => false,
    'expiration' => null,
    // Its start is known to scanners, which find tokens that were left lying in files.
    'token_prefix' => 'crow_',
    // The time of last use is written at most once a minute: see App\People\Tokens.
    'last_used_at' => false,
];
