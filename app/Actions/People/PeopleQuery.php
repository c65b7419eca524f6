<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use App\Support\Database\Figures;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Everybody with an account, for administrators: what each may, and when each was last here. */
final class PeopleQuery
{
    /** @return list<array<string, mixed>> by name */
    public function execute(): array
    {
        /** @var list<User> $people */
        $people = User::query()->orderByRaw('lower(name), id')->get()->all();
        $seen = DB::table('sessions')->whereNotNull('user_id')->groupBy('user_id')
            ->selectRaw('user_id, count(*) AS count, to_timestamp(max(last_activity)) AS last')->get()->keyBy('user_id');
        $tokens = DB::table('personal_access_tokens')->groupBy('tokenable_id')->selectRaw('tokenable_id, count(*) AS count')
            ->pluck('count', 'tokenable_id');
        $links = DB::table('entry_links')->where('ends_at', '>', now())->pluck('ends_at', 'user_id');
        $roles = DB::table('study_members')->join('studies', 'studies.id', '=', 'study_members.study_id')->whereNull('studies.deleted_at')
            ->orderBy('studies.name')
            ->get(['user_id', 'slug', 'name', 'role'])->groupBy('user_id');

        $stamp = static fn(mixed $time): ?string => $time === null ? null : Carbon::parse((string) Figures::text($time))
            ->toIso8601ZuluString();

        return array_map(
            static fn(User $user): array => [
                ...self::account($user),
                'sessions' => $seen->get($user->id)->count ?? 0,
                'last_seen' => $stamp($seen->get($user->id)?->last),
                'tokens' => Figures::int($tokens->get($user->id)) ?? 0,
                'link_until' => $stamp($links->get($user->id)),
                'roles' => array_map(
                    static fn(\stdClass $role): array => ['slug' => $role->slug, 'name' => $role->name, 'role' => $role->role],
                    $roles->get($user->id)?->all() ?? [],
                ),
            ],
            $people,
        );
    }

    /** @return array<string, mixed> */
    private static function account(User $user): array
    {
        return [
            'id' => $user->id,
            'name' => $user->name,
            'email' => $user->email,
            'is_administrator' => $user->is_administrator,
            'may_make_studies' => $user->may_make_studies,
            'is_disabled' => $user->disabled_at !== null,
            'has_second_factor' => $user->hasSecondFactor(),
        ];
    }
}
