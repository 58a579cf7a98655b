<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'connection' => env('SESSION_CONNECTION'),
    'lifetime' => (int) env('SESSION_LIFETIME', 60 * 24 * 7),
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => env('CROW_PRIVATE', storage_path('framework')).'/sessions',
    'lottery' => [2, 100],
    'cookie' => env('SESSION_COOKIE', 'tall-crow'),
    'path' => '/',
    'domain' => null,
    // Null: secure wherever the request came over TLS.
    'secure' => env('SESSION_SECURE_COOKIE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
