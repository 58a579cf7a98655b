<?php

declare(strict_types=1);

return [
    'guard' => ['web'],
    'routes' => false,
    'expiration' => null,
    // Its start is known to scanners, which find tokens that were left lying in files.
    'token_prefix' => 'crow_',
    // Shown on the page Account, so that a token that nobody uses is taken back.
    'last_used_at' => true,
];
