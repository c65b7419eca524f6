<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Models\User;

/** Who works on the demo study. */
final readonly class DemoPeople
{
    private function __construct(public User $editor, public User $administrator)
    {
    }

    public static function find(): self
    {
        return new self(self::of(InvitePeople::EDITOR), self::of(InvitePeople::ADMINISTRATOR));
    }

    /** They take turns. */
    public function turn(int $number): User
    {
        return $number % 3 === 2 ? $this->administrator : $this->editor;
    }

    private static function of(string $email): User
    {
        return User::query()->where('email', $email)->firstOrFail();
    }
}
