<?php

declare(strict_types=1);

return [
    'name' => 'Tall Crow',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8321'),
    // Addresses of the page's own files name no host: they hold behind any name or port.
    'asset_url' => '/',
    'key' => env('APP_KEY'),
    'cipher' => 'AES-256-CBC',
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
];
