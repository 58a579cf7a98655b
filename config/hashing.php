<?php

declare(strict_types=1);

// Memory in KiB and passes as OWASP's Password Storage Cheat Sheet asks at least (19 MiB, 2 passes).
return [
    'driver' => 'argon2id',
    'argon' => ['memory' => (int) env('ARGON_MEMORY', 65536), 'threads' => 1, 'time' => (int) env('ARGON_TIME', 3), 'verify' => true],
    'rehash_on_login' => true,
];
