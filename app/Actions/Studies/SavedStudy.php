<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Models\Study;

/** A study as it was saved, and what else that brought about. */
final readonly class SavedStudy
{
    /** @param list<string> $notes a sentence each */
    public function __construct(public Study $study, public array $notes)
    {
    }
}
