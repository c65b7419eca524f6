<?php

declare(strict_types=1);

namespace App\Console\Commands;

/** A command that changes something, and so is written down in the audit record when it did its work. */
interface RecordsAudit
{
}
