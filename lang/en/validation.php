<?php

declare(strict_types=1);

/** What a refused field says, where it can say more than the framework's own words: what is allowed. */
return [
    'in' => 'The :attribute must be one of :values.',
    'enum' => 'The :attribute is none of those that there are.',
    'custom' => ['source' => ['in' => 'No such source of data is connected.']],
    'string' => 'The :attribute must be text, and not empty.',
];
