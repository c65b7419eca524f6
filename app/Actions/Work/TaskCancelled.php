<?php

declare(strict_types=1);

namespace App\Actions\Work;

/** A person cancelled the work; whatever it had open is rolled back. */
final class TaskCancelled extends \RuntimeException
{
}
