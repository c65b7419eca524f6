<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** Gives a person who knows the old password new page, and ends the sessions on other machines. */
final class ChangePassword
{
    /**
     * @param string $session    the one that goes on
     * @param bool   $endsTokens scripts need new tokens then
     */
    public function execute(User $user, string $old, string $new, string $session, bool $endsTokens = false): void
    {
        if (! Hash::check($old, (string) $user->getAuthPassword())) {
            throw ValidationException::withMessages(['password' => 'The current password is wrong.']);
        }
        DB::transaction(static function () use ($user, $new, $session, $endsTokens): void {
            $user->update(['password' => $new]);
            DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $session)->delete();
            if ($endsTokens) {
                $user->tokens()->delete();
            }
        });
    }
}
