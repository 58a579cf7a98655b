<?php

declare(strict_types=1);

return [
    // Uploads, exports and kept pictures lie here, one folder to a shop.
    'storage' => env('CROW_STORAGE', storage_path('app/shops')),

    // Names under which a browser may ask; anything else is another site's page reaching in.
    'hosts' => array_filter(explode(',', (string) env('CROW_HOSTS', '127.0.0.1,localhost,[::1]'))),
];
