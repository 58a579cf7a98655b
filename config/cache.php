<?php

declare(strict_types=1);

$place = env('CROW_PRIVATE') === null ? storage_path('framework/cache/data') : env('CROW_PRIVATE').'/cache';

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array'],
        'file' => ['driver' => 'file', 'path' => $place, 'lock_path' => $place],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
    ],
    'prefix' => 'tall-crow:',
];
