<?php

declare(strict_types=1);

namespace App\Support;

/** What somebody decided about a keyword. The bench and the list ask for it by the clause `mark`. */
enum Mark: string
{
    case Shortlisted = 'shortlisted';
    case SetAside = 'set aside';
}
