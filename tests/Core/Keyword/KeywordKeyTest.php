<?php

declare(strict_types=1);

namespace Tests\Core\Keyword;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Golden;

final class KeywordKeyTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>}> */
    public static function keys(): iterable
    {
        return Golden::cases(__DIR__.'/keys.txt');
    }

    /** @param array<string, string> $case */
    #[DataProvider('keys')]
    public function test_a_raw_keyword_has_one_key(array $case): void
    {
        self::assertSame($case['key'], KeywordKey::of($case['raw']));
    }

    /** @param array<string, string> $case */
    #[DataProvider('keys')]
    public function test_a_key_without_quotes_is_its_own_key(array $case): void
    {
        if (! str_starts_with($case['key'], '"')) {
            self::assertSame($case['key'], KeywordKey::of($case['key']));
        } else {
            self::assertNotSame('', KeywordKey::of($case['key']));
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function noKeys(): iterable
    {
        yield 'nothing' => ['', 'is empty'];
        yield 'white space' => [" \u{A0}\t", 'is empty'];
        yield 'quotes around nothing' => ['" "', 'is empty'];
        yield 'invisible characters' => ["\u{200B}\u{FEFF}", 'is empty'];
        yield '401 characters' => [str_repeat('é', 401), 'is longer than 400 characters'];
        yield 'no UTF-8' => ["bee\xFF", 'is not valid UTF-8'];
    }

    #[DataProvider('noKeys')]
    public function test_what_cannot_be_a_keyword_is_refused_with_a_reason(string $raw, string $reason): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($reason);
        KeywordKey::of($raw);
    }

    public function test_quotes_are_taken_off_in_pairs_alone(): void
    {
        $keys = ['"' => '"', '“' => '“', '"pen' => '"pen', 'pen"' => 'pen"', '"pen"' => 'pen', '“pen”' => 'pen', '"pen”' => '"pen”'];
        foreach ($keys as $raw => $key) {
            self::assertSame($key, KeywordKey::of($raw));
        }
    }

    public function test_400_characters_are_allowed_however_many_bytes_they_have(): void
    {
        self::assertSame(400, mb_strlen(KeywordKey::of(str_repeat('é', 400))));
    }

    public function test_words_split_on_all_but_letters_digits_apostrophes_and_marks(): void
    {
        self::assertSame(["what's", 'the', 'best', '10', 'frame', 'hive', 'café'], Words::of("what's the best 10-frame hive/café?"));
        self::assertSame(0, Words::count('!!!'));
        self::assertTrue(Words::isLongTail('bee hive kit'));
        self::assertFalse(Words::isLongTail('bee hive'));
    }
}
