<?php

declare(strict_types=1);

namespace App\Actions\Audit;

/** One line of the audit record, before it is written. */
final readonly class AuditEntry
{
    /**
     * @param string               $action  method and path of the API as its document has it, or the name of a command
     * @param int                  $status  of the answer, or 0 of a command that did its work
     * @param string               $origin  address that it came from, or `command`
     * @param array<string, mixed> $detail  what was asked, without what is secret
     */
    public function __construct(
        public string $action,
        public int $status,
        public string $origin,
        public ?int $userId = null,
        public ?string $person = null,
        public ?int $studyId = null,
        public ?string $study = null,
        public array $detail = [],
    ) {
    }
}
