<?php

declare(strict_types=1);

$server = [
    'driver' => 'pgsql',
    // Loopback only: the start command runs the server with its own data directory under var/.
    'host' => env('DB_HOST', '127.0.0.1'),
    'port' => env('DB_PORT', '5432'),
    'database' => env('DB_DATABASE', 'greater_reach'),
    'username' => env('DB_USERNAME', 'greater_reach'),
    'password' => env('DB_PASSWORD', ''),
    'charset' => 'utf8',
    'prefix' => '',
    'sslmode' => env('DB_SSLMODE', 'prefer'),
    // Said while connecting, so that a request does not begin with questions of its own about them.
    'server_options' => ['TimeZone' => 'UTC', 'search_path' => 'public'],
    // A question is prepared, asked and given back in one message instead of three. A process of the web server keeps its connection
    // for the next request: signing in to the database takes longer than most answers.
    'options' => [PDO::PGSQL_ATTR_DISABLE_PREPARES => true, PDO::ATTR_TIMEOUT => 5] + (env('DB_PERSISTENT', false) ? [PDO::ATTR_PERSISTENT => true] : []),
];

$redis = static fn(int $database): array => [
    'host' => env('REDIS_HOST', '127.0.0.1'),
    'port' => env('REDIS_PORT', '6379'),
    'password' => env('REDIS_PASSWORD'),
    'database' => $database,
    'read_timeout' => 60,
    'max_retries' => 3,
    'backoff_algorithm' => 'decorrelated_jitter',
    'backoff_base' => 100,
    'backoff_cap' => 1000,
];

return [
    'default' => 'pgsql',

    'connections' => [
        'pgsql' => $server,
        // A copy of the first that follows it, which may be a moment behind; null where there is none.
        'standby' => ['host' => env('DB_STANDBY_HOST'), 'port' => env('DB_STANDBY_PORT', '5432')] + $server,
        // Tells how far long work is while its own transaction is still open, so it must never be the connection that is kept.
        'progress' => ['options' => []] + $server,
    ],

    // Where several machines share them: the queue, the cache with its locks, and how often who may ask.
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => 'reach:'],
        'queue' => $redis(0),
        'cache' => $redis(1),
        'default' => $redis(1),
    ],

    'migrations' => [
        'table' => 'migrations',
        'update_date_on_publish' => false,
    ],
];
