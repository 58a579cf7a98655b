<?php

declare(strict_types=1);

// What a maintainer needs to know lies in storage/logs: slow proofs, failed exports, refused uploads. No words of a
// seller's are written there: ids, kinds and figures alone.
return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => env('CROW_LOGS', storage_path('logs')).'/tall-crow.log', 'level' => env('LOG_LEVEL', 'info'), 'days' => 14],
        // One JSON object to a line, for a collector: LOG_CHANNEL=json
        'json' => ['driver' => 'monolog', 'handler' => Monolog\Handler\StreamHandler::class, 'with' => ['stream' => env('CROW_LOGS', storage_path('logs')).'/tall-crow.json'], 'formatter' => Monolog\Formatter\JsonFormatter::class, 'level' => env('LOG_LEVEL', 'info')],
        'stderr' => ['driver' => 'monolog', 'handler' => Monolog\Handler\StreamHandler::class, 'with' => ['stream' => 'php://stderr'], 'level' => 'info'],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
