<?php

declare(strict_types=1);

use App\Support\Sources\StandInSource;

return [
    // The simulated provider that ships with the application; bin/start starts it and sets both.
    'stand-in' => ['class' => StandInSource::class, 'url' => env('REACH_STAND_IN_URL'), 'key' => env('REACH_STAND_IN_KEY')],
];
