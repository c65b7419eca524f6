<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\OneTime\RecoveryCodes;
use App\Support\OneTime\Totp;
use ParagonIE\ConstantTime\Base32;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TotpTest extends TestCase
{
    private const SECRET = '12345678901234567890';

    /**
     * RFC 6238, appendix B: time, code of eight digits, algorithm and its secret.
     *
     * @return iterable<string, array{int, string, string, int}>
     */
    public static function published(): iterable
    {
        $table = [
            59 => ['94287082', '46119246', '90693936'],
            1111111109 => ['07081804', '68084774', '25091201'],
            1111111111 => ['14050471', '67062674', '99943326'],
            1234567890 => ['89005924', '91819424', '93441116'],
            2000000000 => ['69279037', '90698825', '38618901'],
            20000000000 => ['65353130', '77737706', '47863826'],
        ];
        foreach ($table as $time => $codes) {
            yield "SHA-1 at {$time}" => [$time, $codes[0], 'sha1', 20];
            yield "SHA-256 at {$time}" => [$time, $codes[1], 'sha256', 32];
            yield "SHA-512 at {$time}" => [$time, $codes[2], 'sha512', 64];
        }
    }

    #[DataProvider('published')]
    public function test_codes_are_those_of_the_standard(int $time, string $code, string $algorithm, int $length): void
    {
        $secret = substr(str_repeat(self::SECRET, 4), 0, $length);

        self::assertSame($code, (new Totp($secret, 8, $algorithm))->at($time));
    }

    /** RFC 4226, appendix D: the first ten codes of six digits of the same secret. */
    public function test_codes_of_six_digits_are_those_of_the_standard_below_it(): void
    {
        $expected = ['755224', '287082', '359152', '969429', '338314', '254676', '287922', '162583', '399871', '520489'];
        $totp = new Totp(self::SECRET);

        self::assertSame($expected, array_map(static fn(int $step): string => $totp->at($step * Totp::PERIOD), range(0, 9)));
    }

    public function test_a_code_holds_a_step_before_and_after_and_once(): void
    {
        $totp = new Totp(self::SECRET);
        $time = 1_234_567_890;
        $step = intdiv($time, Totp::PERIOD);
        foreach ([-1 => true, 0 => true, 1 => true, -2 => false, 2 => false] as $off => $holds) {
            $found = $totp->stepOf($totp->at($time + $off * Totp::PERIOD), $time, 0);
            self::assertSame($holds ? $step + $off : null, $found, "A code {$off} steps off.");
        }
        self::assertNull($totp->stepOf($totp->at($time), $time, $step), 'It was taken.');
    }

    public function test_a_new_secret_has_the_length_the_standard_asks_for_and_can_be_typed(): void
    {
        $secret = Totp::newSecret();
        self::assertMatchesRegularExpression('/^[A-Z2-7]{32}$/D', $secret);
        self::assertSame(20, \strlen(Base32::decodeUpper($secret)));
        self::assertNotSame($secret, Totp::newSecret());
        self::assertSame((new Totp(self::SECRET))->at(59), Totp::ofSecret(Base32::encodeUpperUnpadded(self::SECRET))->at(59));
    }

    public function test_codes_for_a_lost_authenticator_are_ten_and_read_with_or_without_the_stroke(): void
    {
        $codes = RecoveryCodes::make();
        self::assertCount(10, array_unique($codes));
        self::assertMatchesRegularExpression('/^[a-z2-7]{5}-[a-z2-7]{5}$/D', $codes[0]);
        self::assertSame(RecoveryCodes::hash($codes[0]), RecoveryCodes::hash(' '.strtoupper(str_replace('-', ' ', $codes[0]))));
    }
}
