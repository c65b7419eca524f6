<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\TaskStatus;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Deletes a study, and restores it within its retention time. */
final class DeleteStudy
{
    /**
     * @param string $name as someone typed it who means this study and no other
     *
     * @throws UserError
     */
    public function execute(Study $study, string $name, ?User $by): Carbon
    {
        if (trim($name) !== $study->name) {
            throw UserError::because('name', sprintf('To delete it, type its name: %s', $study->name));
        }
        DB::transaction(static function () use ($study, $by): void {
            DB::table('tasks')->where('study_id', $study->id)->whereIn('status', [TaskStatus::Waiting->value, TaskStatus::Running->value])
                ->update(['cancel_wanted' => true]);
            $study->forceFill(['deleted_by' => $by?->id])->save();
            $study->delete();
        });

        return self::goneAt($study);
    }

    /** @throws UserError */
    public function restore(Study $study): void
    {
        if (self::goneAt($study)->isPast()) {
            throw UserError::because('study', 'It’s too late to restore it.');
        }
        $study->forceFill(['deleted_by' => null]);
        $study->restore();
    }

    /** When it is deleted for good. */
    public static function goneAt(Study $study): Carbon
    {
        return Carbon::parse($study->deleted_at)->addDays(config()->integer('reach.deleted_days'));
    }
}
