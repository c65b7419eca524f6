<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),

    'connections' => [
        'sync' => ['driver' => 'sync'],
        // Longer than the longest job may run, so that none is taken twice.
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 2400, 'after_commit' => true],
        // Where several machines share it. It holds only who is to look at a task; what a task is stands in the database.
        'redis' => ['driver' => 'redis', 'connection' => 'queue', 'queue' => 'default', 'retry_after' => 2400, 'block_for' => 2, 'after_commit' => true],
    ],

    'failed' => ['driver' => 'database-uuids', 'database' => 'pgsql', 'table' => 'failed_jobs'],
];
