<?php

declare(strict_types=1);

/** What a refused field says: what is wrong with it and what it can be. */
return [
    'array' => '“:attribute” isn’t a list.',
    'boolean' => '“:attribute” is neither true nor false.',
    'between' => [
        'array' => '“:attribute” doesn’t have :min to :max items.',
        'file' => '“:attribute” doesn’t have :min to :max kilobytes.',
        'numeric' => '“:attribute” isn’t between :min and :max.',
        'string' => '“:attribute” isn’t :min to :max characters long.',
    ],
    'custom' => ['source' => ['in' => 'That data source isn’t connected.']],
    'date' => '“:attribute” isn’t a date.',
    'date_format' => '“:attribute” isn’t a date like 2026-12-31, or a month like 2026-12.',
    'email' => '“:attribute” isn’t an email address.',
    'enum' => '“:attribute” doesn’t exist.',
    'gt' => ['numeric' => '“:attribute” isn’t above :value.'],
    'in' => '“:attribute” can be: :values.',
    'integer' => '“:attribute” isn’t a whole number.',
    'list' => '“:attribute” isn’t a list.',
    'max' => [
        'array' => '“:attribute” has more than :max items.',
        'file' => '“:attribute” is larger than :max kilobytes.',
        'numeric' => '“:attribute” is above :max.',
        'string' => '“:attribute” is longer than :max characters.',
    ],
    'min' => [
        'array' => '“:attribute” has fewer than :min items.',
        'file' => '“:attribute” is smaller than :min kilobytes.',
        'numeric' => '“:attribute” is below :min.',
        'string' => '“:attribute” is shorter than :min characters.',
    ],
    'numeric' => '“:attribute” isn’t a number.',
    'present' => '“:attribute” is missing.',
    'regex' => '“:attribute” has characters that aren’t allowed.',
    'required' => '“:attribute” is missing.',
    'required_with' => '“:attribute” is missing; :values needs it.',
    'required_without' => 'Send “:attribute” or “:values”.',
    'size' => ['string' => '“:attribute” isn’t :size characters long.'],
    'string' => '“:attribute” is empty or not text.',
    'unique' => 'That :attribute is taken.',
    'url' => '“:attribute” isn’t a web address.',
    'uuid' => '“:attribute” isn’t a UUID.',
];
