<?php

declare(strict_types=1);

namespace App\Actions\Pulls;

use App\Models\Domain;
use GreaterReach\Core\Intake\ImportKind;

/** One list of a pull: it becomes one import. */
final readonly class PullPart
{
    public function __construct(
        public string $name,
        public ImportKind $kind,
        /** What it is called among the imports. */
        public string $title,
        public string $day,
        public ?Domain $domain = null,
        public string $channel = 'organic',
    ) {
    }
}
