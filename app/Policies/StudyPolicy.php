<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Study;
use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\DB;

/** Readers see a study, editors change it, administrators do both everywhere. */
final class StudyPolicy
{
    /** Who has no part in a study is not told that it is there. */
    public function view(User $user, Study $study): Response
    {
        return $user->is_administrator || $this->role($user, $study) !== null ? Response::allow() : Response::denyAsNotFound();
    }

    public function update(User $user, Study $study): bool
    {
        return $user->is_administrator || $this->role($user, $study) === 'editor';
    }

    private function role(User $user, Study $study): ?string
    {
        $role = DB::table('study_members')->where('study_id', $study->id)->where('user_id', $user->id)->value('role');

        return is_string($role) ? $role : null;
    }
}
