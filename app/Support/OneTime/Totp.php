<?php

declare(strict_types=1);

namespace App\Support\OneTime;

use ParagonIE\ConstantTime\Base32;

/**
 * Codes that an authenticator shows for thirty seconds each (RFC 6238 on RFC 4226, HMAC-SHA-1). No package for it is to be had from the
 * registry; Base32 is that of `paragonie/constant_time_encoding`.
 */
final readonly class Totp
{
    /** Seconds for which a code holds. */
    public const PERIOD = 30;

    public const DIGITS = 6;

    /** Steps that a clock may be off, either way (RFC 6238, 5.2). */
    private const OFF = 1;

    /** Bytes of a secret (RFC 4226, 4: at least 16, better 20). */
    private const BYTES = 20;

    /** @param string $secret bytes */
    public function __construct(private string $secret, private int $digits = self::DIGITS, private string $algorithm = 'sha1')
    {
    }

    /** @return string a new secret in Base32, as it is typed into an authenticator */
    public static function newSecret(): string
    {
        return Base32::encodeUpperUnpadded(random_bytes(self::BYTES));
    }

    public static function ofSecret(string $base32): self
    {
        return new self(Base32::decodeUpper(strtoupper($base32)));
    }

    /** @param int $time Unix time */
    public function at(int $time): string
    {
        return $this->ofStep(intdiv($time, self::PERIOD));
    }

    /**
     * @param int $time  Unix time
     * @param int $after step of the last code that was taken, as none is taken twice
     *
     * @return ?int step of the code; null where it is none that holds
     */
    public function stepOf(string $code, int $time, int $after): ?int
    {
        $now = intdiv($time, self::PERIOD);
        for ($step = max($now - self::OFF, $after + 1); $step <= $now + self::OFF; ++$step) {
            if (hash_equals($this->ofStep($step), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** Dynamic truncation of RFC 4226, 5.3. */
    private function ofStep(int $step): string
    {
        $hash = hash_hmac($this->algorithm, pack('J', $step), $this->secret, true);
        $offset = \ord($hash[-1]) & 0x0f;
        /** @var array{1: int} $part */
        $part = unpack('N', substr($hash, $offset, 4));

        return str_pad((string) (($part[1] & 0x7fffffff) % 10 ** $this->digits), $this->digits, '0', STR_PAD_LEFT);
    }
}
