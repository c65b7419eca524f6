<?php

declare(strict_types=1);

use Monolog\Handler\NullHandler;

return [
    'default' => env('LOG_CHANNEL', 'daily'),

    'deprecations' => ['channel' => 'null', 'trace' => false],

    'channels' => [
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/greater-reach.log'), 'level' => env('LOG_LEVEL', 'info'), 'days' => 14],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
    ],
];
