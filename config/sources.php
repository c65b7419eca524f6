<?php

declare(strict_types=1);

use App\Support\Sources\StandInSource;

return [
    // Seconds without a word after which a source is taken for lost, and seconds that one answer may take in all.
    'patience' => (int) env('REACH_SOURCE_PATIENCE', 60),
    'longest_answer' => 600,

    'connected' => [
        // The simulated provider that ships with the application; bin/start starts it and sets both.
        'stand-in' => ['class' => StandInSource::class, 'url' => env('REACH_STAND_IN_URL'), 'key' => env('REACH_STAND_IN_KEY')],
    ],
];
