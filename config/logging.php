<?php

declare(strict_types=1);

use Monolog\Handler\NullHandler;

return [
    'default' => env('LOG_CHANNEL', 'kept'),

    'deprecations' => ['channel' => 'null', 'trace' => false],

    'channels' => [
        // A log that cannot be written, on a full disk for one, is no reason for anything to fail.
        'kept' => ['driver' => 'stack', 'channels' => [env('LOG_KEPT_IN', 'daily')], 'ignore_exceptions' => true],
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/greater-reach.log'), 'level' => env('LOG_LEVEL', 'info'), 'days' => 14],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
    ],
];
