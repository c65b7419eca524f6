<?php

declare(strict_types=1);

/** What a refused field says, where it can say more than the framework's own words: what is allowed. */
return [
    'in' => 'The :attribute must be one of :values.',
    'enum' => 'The :attribute doesn’t exist.',
    'custom' => ['source' => ['in' => 'That data source isn’t connected.']],
    'string' => 'The :attribute must be text and can’t be empty.',
];
