<?php

declare(strict_types=1);

namespace App\Models;

/** What a piece of long work does. */
enum TaskKind: string
{
    case Preview = 'preview';
    case Import = 'import';
    case Pull = 'pull';
    case Steadiness = 'steadiness';
}
