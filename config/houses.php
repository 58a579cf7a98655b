<?php

declare(strict_types=1);

use App\Sending\Houses\HttpHouse;

// Services that take print files. Only their addresses are ever called, whatever a seller enters. A class implements
// App\Sending\Houses\PrintHouse and is made of the address, the seller's account and token there.
return [
    'services' => [
        'trial' => ['name' => 'The print house that ships with this, to try sending', 'class' => HttpHouse::class, 'address' => (string) env('CROW_PRINT_HOUSE', '')],
    ],
];
