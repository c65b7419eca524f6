<?php

declare(strict_types=1);

namespace App\Support;

/** A decision about a keyword, as in the clause `mark`. */
enum Mark: string
{
    case Shortlisted = 'shortlisted';
    case SetAside = 'set aside';
}
