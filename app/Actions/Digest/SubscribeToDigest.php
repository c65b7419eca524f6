<?php

declare(strict_types=1);

namespace App\Actions\Digest;

use App\Exceptions\UserError;
use App\Models\DigestSubscription;
use App\Models\Study;
use App\Models\User;

/** Turns someone's digest of a study on and off. */
final class SubscribeToDigest
{
    /** Mail needs a server and an address to send from: `MAIL_HOST` and `MAIL_FROM_ADDRESS`. */
    public static function isAvailable(): bool
    {
        return config('mail.mailers.smtp.host') !== null && config('mail.from.address') !== null;
    }

    public function isOn(Study $study, User $user): bool
    {
        return DigestSubscription::query()->where('study_id', $study->id)->where('user_id', $user->id)->exists();
    }

    /** @throws UserError where no mail can be sent */
    public function execute(Study $study, User $user): void
    {
        if (! self::isAvailable()) {
            throw UserError::because('digest', 'This server sends no mail. Ask an administrator to set MAIL_HOST and MAIL_FROM_ADDRESS.');
        }
        // The month that is there already was seen.
        DigestSubscription::query()->firstOrCreate(
            ['study_id' => $study->id, 'user_id' => $user->id],
            ['sent_day' => $study->comparison?->domains[0]['snapshot'] ?? null],
        );
    }

    public function end(Study $study, User $user): void
    {
        DigestSubscription::query()->where('study_id', $study->id)->where('user_id', $user->id)->delete();
    }
}
