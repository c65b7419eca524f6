<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * What a password must be: long enough that no one guesses it, no longer than can be looked at in passing, none of the commonest, and not
 * made of what everybody knows of its person. Lengths by OWASP ASVS 4.0.3, 2.1.1 and 2.1.2; the list of the commonest by 2.1.7.
 */
final readonly class PasswordRule implements ValidationRule
{
    public const SHORTEST = 12;
    public const LONGEST_BYTES = 4096;

    /** The 10,000 commonest, and all longer ones, of `@zxcvbn-ts/language-common` 4.1.3 (MIT), in lower case. */
    private const COMMON = 'data/common-passwords.txt';

    /** Shorter parts of a name or address occur in ordinary words. */
    private const SHORTEST_PART = 4;

    /** @param string $email of the account's user */
    public function __construct(private string $email, private string $name = '')
    {
    }

    public static function for(User $user): self
    {
        return new self($user->email, $user->name);
    }

    /** @param \Closure(string): mixed $fail */
    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        $wrong = self::wrong(\is_string($value) ? $value : '', $this->email, $this->name);
        if ($wrong !== null) {
            $fail($wrong);
        }
    }

    /** @return ?string what is wrong with a password, in words; null where nothing is */
    public static function wrong(string $password, string $email, string $name = ''): ?string
    {
        $plain = mb_strtolower($password);

        return match (true) {
            mb_strlen($password) < self::SHORTEST => 'Use at least 12 characters.',
            \strlen($password) > self::LONGEST_BYTES => 'Use at most 4,096 bytes.',
            \count(array_unique(mb_str_split($plain))) < 4 => 'Use more different characters: this password is easy to guess.',
            self::holdsPartOf($plain, $email.' '.$name) => 'Leave your name and email address out of your password.',
            self::isCommon($plain) => 'This is one of the most common passwords. Choose another one.',
            default => null,
        };
    }

    /** Whether a word of the name, or a part of the address before or after the @, occurs in the password. */
    private static function holdsPartOf(string $plain, string $about): bool
    {
        foreach (preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($about), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            if (mb_strlen($part) >= self::SHORTEST_PART && str_contains($plain, $part)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is a common password, one with digits and signs around it, or one repeated. */
    private static function isCommon(string $plain): bool
    {
        $core = (string) preg_replace('/^[^\p{L}]+|[^\p{L}]+$/u', '', $plain);
        $unit = preg_match('/^(.+?)\1+$/Dsu', $plain, $found) === 1 ? $found[1] : $plain;

        return array_intersect([$plain, $core, $unit], self::common()) !== [];
    }

    /** @return list<string> */
    private static function common(): array
    {
        return explode("\n", trim((string) file_get_contents(resource_path(self::COMMON))));
    }
}
