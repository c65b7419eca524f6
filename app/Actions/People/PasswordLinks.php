<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\UserError;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Links by which a person chooses a password, once: when invited, and when the old one is forgotten. Only what they come to is kept. */
final class PasswordLinks
{
    private const HOURS = 72;

    /** What a person sees behind the address of the application; after the sign that browsers do not send to servers. */
    private const PATH = '/welcome#';

    /**
     * Ends a link made before.
     *
     * @return array{address: string, ends_at: string}
     */
    public function make(User $user): array
    {
        $secret = bin2hex(random_bytes(24));
        $ends = now()->addHours(self::HOURS);
        DB::table('entry_links')->upsert(
            [['user_id' => $user->id, 'hash' => hash('sha256', $secret), 'ends_at' => $ends]],
            ['user_id'],
            ['hash', 'ends_at'],
        );

        return ['address' => url('').self::PATH.$secret, 'ends_at' => $ends->toIso8601ZuluString()];
    }

    /** @throws UserError where it holds no longer */
    public function person(string $secret): User
    {
        $id = DB::table('entry_links')->where('hash', hash('sha256', $secret))->where('ends_at', '>', now())->value('user_id');
        $user = \is_int($id) ? User::query()->whereNull('disabled_at')->find($id) : null;

        return $user ?? throw UserError::because('link', 'This link has been used or has expired. Ask an administrator for new page.');
    }

    /** Gives the person the password and uses the link up. */
    public function take(string $secret, string $password): User
    {
        return DB::transaction(function () use ($secret, $password): User {
            $user = $this->person($secret);
            if (DB::table('entry_links')->where('hash', hash('sha256', $secret))->delete() === 0) {
                throw UserError::because('link', 'This link has just been used.');
            }
            $user->update(['password' => $password]);
            // OWASP ASVS 4.0.3, 3.3.3: anyone who knew the old password is signed out everywhere.
            SavePerson::signOut($user);

            return $user;
        });
    }
}
