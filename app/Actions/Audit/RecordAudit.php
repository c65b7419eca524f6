<?php

declare(strict_types=1);

namespace App\Actions\Audit;

use Illuminate\Support\Facades\DB;

/** Writes audit entries and deletes expired ones. */
final class RecordAudit
{
    /** One line in so many also looks for what is too old. */
    private const SWEEP_EVERY = 500;

    public function execute(AuditEntry $entry): void
    {
        $id = DB::table('audit')->insertGetId([
            'user_id' => $entry->userId,
            'person' => $entry->person,
            'study_id' => $entry->studyId,
            'study' => $entry->study,
            'action' => $entry->action,
            'status' => $entry->status,
            'origin' => $entry->origin,
            'detail' => json_encode((object) $entry->detail, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
        ]);
        if ($id % self::SWEEP_EVERY === 0) {
            $this->sweep();
        }
    }

    /**
     * The database itself keeps every row for 30 days, whatever is configured here.
     *
     * @return int rows deleted
     */
    public function sweep(): int
    {
        return DB::table('audit')->where('at', '<', now()->subDays(max(30, config()->integer('reach.audit_days'))))->delete();
    }
}
