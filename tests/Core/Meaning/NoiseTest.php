<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandProposals;
use GreaterReach\Core\Meaning\Noise;
use PHPUnit\Framework\TestCase;

/** Common practice, without a published source. */
final class NoiseTest extends TestCase
{
    public function test_codes_are_told_from_words_years_and_short_numbers(): void
    {
        $keys = [
            'xk 4500 smoker',
            'hive h2o40',
            'part 884213',
            'best hives 2026',
            '10 frame hive',
            'b2b honey',
            '3d printed hive',
            'frame 12',
        ];
        self::assertSame(
            ['xk 4500 smoker', 'hive h2o40', 'part 884213'],
            array_values(array_filter($keys, static fn(string $key): bool => Noise::isCode(Words::of($key)))),
        );
    }

    public function test_two_groups_of_digits_are_a_model_number_unless_they_are_one_large_number_or_years(): void
    {
        $isCode = static fn(string $keyword): bool => Noise::isCode(Words::of($keyword));
        self::assertTrue($isCode('smoker 340-020'));
        self::assertTrue($isCode('part 340 020 1'));
        self::assertFalse($isCode('100 000 bees'));
        self::assertFalse($isCode('season 2025 2026'));
        self::assertFalse($isCode('hive 14 12'));
        self::assertFalse($isCode('frame 340'));
    }

    public function test_searches_for_a_desk_are_navigational(): void
    {
        self::assertTrue(Noise::isNavigational(['hivewright', 'login']));
        self::assertFalse(Noise::isNavigational(['blog', 'about', 'hives']));
    }

    public function test_a_word_that_one_domain_leads_for_is_proposed_as_its_brand(): void
    {
        $proposals = new BrandProposals();
        $keywords = [
            ['kestrel', 'hive'], ['kestrel', 'smoker'], ['kestrel', 'reviews'], ['kestrel', 'shop'],
            ['hive', 'stand'], ['hive', 'tool'],
        ];
        foreach ($keywords as $number => $words) {
            $proposals->add($words, $words[0] === 'kestrel' ? 2 : ($number % 2 === 0 ? 1 : null));
        }
        self::assertSame([['word' => 'kestrel', 'domain' => 2, 'keywords' => 4]], $proposals->proposals());
    }

    public function test_a_word_is_proposed_from_three_keywords_on_of_which_four_in_five_have_the_same_leader(): void
    {
        $proposed = static function (?int ...$leaders): array {
            $proposals = new BrandProposals();
            foreach ($leaders as $leader) {
                $proposals->add(['quill'], $leader);
            }

            return array_column($proposals->proposals(), 'keywords');
        };
        self::assertSame([3], $proposed(1, 1, 1));
        self::assertSame([], $proposed(1, 1));
        self::assertSame([5], $proposed(1, 1, 1, 1, 2));
        self::assertSame([], $proposed(1, 1, 1, 2));
        self::assertSame([], $proposed(0, 0, 0), 'What we lead is no brand of theirs.');
        self::assertSame([], $proposed(null, null, null), 'Nor what nobody leads.');
        self::assertSame([5], $proposed(1, 1, 1, 1, null));
        self::assertSame([], $proposed(1, 1, 1, null));
        $short = new BrandProposals();
        foreach ([1, 1, 1] as $leader) {
            $short->add(['nib', '2026', 'wren'], $leader);
        }
        self::assertSame(['wren'], array_column($short->proposals(), 'word'));
    }

    public function test_groups_of_digits_are_a_code_side_by_side_alone(): void
    {
        self::assertTrue(Noise::isCode(['340', '020']));
        self::assertTrue(Noise::isCode(['pump', '340', '020', 'seal']));
        self::assertFalse(Noise::isCode(['340', 'to', '020']));
        self::assertFalse(Noise::isCode(['pump', '340']));
        self::assertFalse(Noise::isCode(['100', '000']), 'A large number.');
        self::assertFalse(Noise::isCode(['340', '2024']), 'A year.');
        self::assertFalse(Noise::isCode(['1999', '340']), 'A year.');
    }

    public function test_a_word_of_two_digits_with_letters_is_a_code_and_of_four_digits_without(): void
    {
        $codes = ['a12', '12a', 'ü99', '1234', '0000', '20245'];
        self::assertSame($codes, array_values(array_filter($codes, static fn(string $word): bool => Noise::isCode([$word]))));
        $words = ['a1', '1a', '123', '12', '1999', '2026', 'pen'];
        self::assertSame([], array_values(array_filter($words, static fn(string $word): bool => Noise::isCode([$word]))));
    }
}
