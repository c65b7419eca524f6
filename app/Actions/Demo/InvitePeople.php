<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** Gives the people of the demo their accounts, each with a password made at random and told once. */
final class InvitePeople
{
    public const EDITOR = 'editor@thornfield-apiary.example';
    public const ADMINISTRATOR = 'admin@thornfield-apiary.example';
    private const PASSWORD_LENGTH = 12;

    /** The password that earlier versions gave to everybody and printed in public. */
    private const PUBLISHED = 'smoke-and-honey';

    /** Name → email, role in the demo study, administrator or not. */
    private const PEOPLE = [
        'Edda Quill' => [self::EDITOR, 'editor', false],
        'Rowan Sedge' => ['reader@thornfield-apiary.example', 'reader', false],
        'Avis Thorne' => [self::ADMINISTRATOR, 'editor', true],
    ];

    /** @return array<string, string> address → password, of those who have new page */
    public function execute(Study $study): array
    {
        $told = [];
        foreach (self::PEOPLE as $name => [$email, $role, $isAdministrator]) {
            $user = User::query()->firstOrNew(['email' => $email], ['name' => $name, 'is_administrator' => $isAdministrator]);
            if (! $user->exists || Hash::check(self::PUBLISHED, $user->getAuthPassword())) {
                $told[$email] = Str::password(self::PASSWORD_LENGTH, symbols: false);
                $user->fill(['password' => $told[$email]])->save();
            }
            $study->members()->syncWithoutDetaching([$user->id => ['role' => $role]]);
        }

        return $told;
    }
}
