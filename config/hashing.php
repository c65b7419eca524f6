<?php

declare(strict_types=1);

return [
    'driver' => 'argon2id',

    /* OWASP Password Storage Cheat Sheet: 19 MiB, two passes, one lane. */
    'argon' => [
        'memory' => (int) env('ARGON_MEMORY', 19_456),
        'time' => (int) env('ARGON_TIME', 2),
        'threads' => 1,
        'verify' => false,
    ],

    'rehash_on_login' => true,
];
