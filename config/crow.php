<?php

declare(strict_types=1);

use TallCrow\Cli\Materials;

return [
    // Uploads, exports and kept pictures lie here, one folder to a shop.
    'storage' => env('CROW_STORAGE', storage_path('app/shops')),

    // The disk (config/filesystems.php) that keeps the files of shops for several machines; without one the folder above keeps them.
    'disk' => env('CROW_DISK'),

    // Fields of wear and papers, which belong to no shop: once made they serve all.
    'materials' => env('CROW_MATERIALS') ?: storage_path('framework/materials'),
    'materials_bytes' => (int) env('CROW_MATERIALS_BYTES') ?: Materials::MOST_BYTES,

    // What one print file may take before it is stopped from outside, and what stays free.
    'limits' => [
        'print_seconds' => (int) env('CROW_PRINT_SECONDS', 180),
        // Room on the disk that uploads, exports and kept pictures leave for saves.
        'reserve_mb' => (int) env('CROW_RESERVE_MB', 200),
        'memory_mb' => (int) env('CROW_MEMORY_MB', 6000),
    ],

    // Whoever shows this as a bearer token reads /metrics; without one there is no such page.
    'metrics_token' => env('CROW_METRICS_TOKEN'),

    // Passwords that are tried first, one to a line (bin/passwords.mjs writes it); without the file only their length is asked for.
    'common_passwords' => storage_path('framework/common-passwords.txt'),

    // Names under which a browser may ask; anything else is another site's page reaching in.
    'hosts' => array_filter(explode(',', (string) env('CROW_HOSTS', '127.0.0.1,localhost,[::1]'))),
];
