<?php

declare(strict_types=1);

namespace App\Actions\People;

use Illuminate\Contracts\Validation\ValidationRule;

/**
 * What a password must be: long enough that nobody guesses it, no longer than can be looked at in passing, none of the commonest, and not
 * made of what everybody knows of its person. Lengths by OWASP ASVS 4.0.3, 2.1.1 and 2.1.2; the list of the commonest by 2.1.7.
 */
final readonly class PasswordRule implements ValidationRule
{
    public const SHORTEST = 12;
    public const LONGEST_BYTES = 4096;

    /** Those of at least twelve letters out of the commonest 49,000 of `@zxcvbn-ts/language-common` 4.1.3 (MIT), in lower case. */
    private const COMMON = 'data/common-passwords.txt';

    /** @param string $email of whoever is to have it */
    public function __construct(private string $email)
    {
    }

    /** @param \Closure(string): mixed $fail */
    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        $wrong = self::wrong(\is_string($value) ? $value : '', $this->email);
        if ($wrong !== null) {
            $fail($wrong);
        }
    }

    /** @return ?string what is wrong with a password, in words; null where nothing is */
    public static function wrong(string $password, string $email): ?string
    {
        $plain = mb_strtolower($password);
        $name = mb_strtolower(explode('@', $email)[0]);

        return match (true) {
            mb_strlen($password) < self::SHORTEST => 'A password has at least 12 letters, digits or signs.',
            \strlen($password) > self::LONGEST_BYTES => 'A password has at most 4,096 bytes.',
            \count(array_unique(mb_str_split($plain))) < 4 => 'A password of so few different signs is guessed at once.',
            mb_strlen($name) > 3 && str_contains($plain, $name) => 'A password with the name of its person is guessed at once.',
            \in_array($plain, self::common(), true) => 'This password is one of the commonest; take another one.',
            default => null,
        };
    }

    /** @return list<string> */
    private static function common(): array
    {
        return explode("\n", (string) file_get_contents(resource_path(self::COMMON)));
    }
}
