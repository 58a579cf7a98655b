<?php

declare(strict_types=1);

$secure = (bool) env('SESSION_SECURE_COOKIE', false);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'connection' => env('SESSION_CONNECTION'),
    'lifetime' => (int) env('SESSION_LIFETIME', 60 * 24 * 7),
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => env('CROW_PRIVATE', storage_path('framework')).'/sessions',
    'lottery' => [2, 100],
    'cookie' => $secure ? '__Host-tall-crow' : 'tall-crow',
    'path' => '/',
    'domain' => null,
    'secure' => $secure,
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
