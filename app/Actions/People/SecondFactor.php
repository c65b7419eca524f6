<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Exceptions\UserError;
use App\Models\User;
use App\Support\OneTime\RecoveryCodes;
use App\Support\OneTime\Totp;
use Illuminate\Support\Facades\DB;

/** Time-based codes as a second factor: setup, check and removal. Each code works once. */
final class SecondFactor
{
    /** @return array{secret: string, address: string} to be shown this once; nothing is asked for before it is confirmed */
    public function begin(User $user): array
    {
        if ($user->hasSecondFactor()) {
            throw UserError::because('second_factor', 'You already have a second factor. Turn it off first.');
        }
        $user->update(['totp_secret' => $secret = Totp::newSecret(), 'totp_step' => 0]);

        return [
            'secret' => $secret,
            'address' => sprintf(
                'otpauth://totp/%s:%s?secret=%s&issuer=%s',
                rawurlencode('Greater Reach'),
                rawurlencode($user->email),
                $secret,
                rawurlencode('Greater Reach'),
            ),
        ];
    }

    /** @return list<string> codes for the case that the authenticator is lost, told this once */
    public function confirm(User $user, string $code): array
    {
        return DB::transaction(static function () use ($user, $code): array {
            $user = self::locked($user);
            $step = $user->totp_secret === null ? null : Totp::ofSecret($user->totp_secret)
                ->stepOf(self::plain($code), now()->getTimestamp(), $user->totp_step);
            if ($user->hasSecondFactor() || $step === null) {
                throw UserError::because('code', 'This code is wrong or expired. Check the clock of your authenticator.');
            }
            $codes = RecoveryCodes::make();
            $user->update([
                'totp_since' => now(),
                'totp_step' => $step,
                'recovery_codes' => array_map(RecoveryCodes::hash(...), $codes),
            ]);

            return $codes;
        });
    }

    public function remove(User $user): void
    {
        $user->update(['totp_secret' => null, 'totp_since' => null, 'recovery_codes' => [], 'totp_step' => 0]);
    }

    /** Whether a code of the authenticator, or one for the case that it is lost, holds; it never holds again. */
    public function takes(User $user, string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            $user = self::locked($user);
            $step = Totp::ofSecret((string) $user->totp_secret)->stepOf(self::plain($code), now()->getTimestamp(), $user->totp_step);
            if ($step !== null) {
                $user->update(['totp_step' => $step]);

                return true;
            }
            $left = array_values(array_diff($user->recovery_codes, [RecoveryCodes::hash($code)]));
            if (\count($left) === \count($user->recovery_codes)) {
                return false;
            }

            return $user->update(['recovery_codes' => $left]);
        });
    }

    private static function locked(User $user): User
    {
        return User::query()->lockForUpdate()->findOrFail($user->id);
    }

    private static function plain(string $code): string
    {
        return (string) preg_replace('/\s+/', '', $code);
    }
}
