<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use App\Support\Database\Figures;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A person's sessions, without their ids. */
final class OwnSessions
{
    /** @return list<array{at: string, from: ?string, with: string, is_this: bool}> the newest first */
    public function list(User $user, string $own): array
    {
        $sessions = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')
            ->get(['id', 'ip_address', 'user_agent', 'last_activity'])->all();

        return array_values(array_map(
            static fn(\stdClass $session): array => [
                'at' => Carbon::createFromTimestamp((int) Figures::int($session->last_activity))->toIso8601ZuluString(),
                'from' => Figures::text($session->ip_address),
                'with' => mb_strcut((string) Figures::text($session->user_agent), 0, 200),
                'is_this' => hash_equals($own, (string) Figures::text($session->id)),
            ],
            $sessions,
        ));
    }

    /** @return int how many ended */
    public function endOthers(User $user, string $own): int
    {
        return DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $own)->delete();
    }
}
