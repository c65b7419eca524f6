<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\FitRules;
use GreaterReach\Core\Rulebook\Rulebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FitRulesTest extends TestCase
{
    private const RULES = 'queen rearing:5,beginner:4,free:0,queen:2';

    /** @return iterable<string, array{string, ?string, ?int}> keyword, topic, fit */
    public static function keywords(): iterable
    {
        yield 'a word' => ['beginner beekeeping', null, 4];
        yield 'its plural' => ['hives for beginners', null, 4];
        yield 'a phrase' => ['queen rearing kit', null, 5];
        yield 'a phrase broken up is none' => ['rearing a queen', null, 2];
        yield 'nought is a fit' => ['free hive plans', null, 0];
        yield 'part of a word is none' => ['freedom hives', null, null];
        yield 'the first rule holds' => ['free beginner course', null, 4];
        yield 'the topic, where the keyword says nothing' => ['grafting tool', 'queen rearing', 5];
        yield 'the keyword before the topic' => ['free grafting tool', 'queen rearing', 0];
        yield 'nothing' => ['grafting tool', 'grafting', null];
    }

    #[DataProvider('keywords')]
    public function test_the_first_rule_that_matches_gives_the_fit(string $keyword, ?string $topic, ?int $fit): void
    {
        $rules = FitRules::of(Rulebook::standard()->with(['fit_rules' => self::RULES])->fits());
        self::assertSame($fit, $rules->fitOf(Words::of($keyword), $topic));
    }

    public function test_without_rules_nothing_fits_or_fails_to(): void
    {
        self::assertNull(FitRules::of([])->fitOf(['pen'], 'pen'));
    }

    public function test_the_rulebook_spells_them_as_they_were_given(): void
    {
        $rulebook = Rulebook::standard()->with(['fit_rules' => ' Queen  Rearing: 5, 1984:0 ,queen rearing:1']);
        self::assertSame(['queen rearing' => 5, 1984 => 0], $rulebook->fits());
        self::assertSame('queen rearing:5,1984:0', $rulebook->spelt('fit_rules'));
        self::assertSame([], Rulebook::standard()->with(['fit_rules' => ''])->fits());
    }

    /** @return iterable<string, array{string}> */
    public static function badRules(): iterable
    {
        yield 'no fit' => ['queen'];
        yield 'a fit beyond five' => ['queen:6'];
        yield 'a fit in between' => ['queen:2.5'];
        yield 'no word' => ['-:3'];
    }

    #[DataProvider('badRules')]
    public function test_a_bad_rule_is_refused_with_what_is_allowed(string $text): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('phrase:fit pairs');
        Rulebook::standard()->with(['fit_rules' => $text]);
    }
}
