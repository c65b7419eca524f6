<?php

declare(strict_types=1);

return [
    'default' => env('FILESYSTEM_DISK', 'local'),

    'disks' => [
        // Uploads; never reachable by an address of their own.
        'local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true],
        // Where several machines share them: any store that speaks the protocol of S3.
        's3' => [
            'driver' => 's3',
            'endpoint' => env('REACH_STORE_URL'),
            'bucket' => env('REACH_STORE_BUCKET', 'greater-reach'),
            'key' => env('REACH_STORE_KEY'),
            'secret' => env('REACH_STORE_SECRET'),
            'region' => env('REACH_STORE_REGION', 'us-east-1'),
            // Such stores as one runs oneself have no name of a machine for each bucket.
            'use_path_style_endpoint' => true,
            // Not every such store knows the sums that newer clients send unasked.
            'request_checksum_calculation' => 'when_required',
            'response_checksum_validation' => 'when_required',
            'throw' => true,
        ],
    ],
];
