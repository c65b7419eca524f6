<?php

declare(strict_types=1);

namespace Tests\Core\Pages;

use GreaterReach\Core\Explanation\ProposedChange;
use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Meaning\UncoveredHeadings;
use GreaterReach\Core\Pages\PageTrouble;
use GreaterReach\Core\Priority\Tactic;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is wrong with a page, what it lacks, and what to do about it. */
final class OwnPagesTest extends TestCase
{
    /** @return iterable<string, array{?int, ?bool, ?PageTrouble}> status codes of RFC 9110, section 15 */
    public static function pages(): iterable
    {
        yield 'OK' => [200, true, null];
        yield 'nothing known' => [null, null, null];
        yield 'moved permanently' => [301, true, PageTrouble::Redirects];
        yield 'permanent redirect, not indexable either' => [308, false, PageTrouble::Redirects];
        yield 'not found' => [404, null, PageTrouble::Missing];
        yield 'gone' => [410, null, PageTrouble::Missing];
        yield 'service unavailable' => [503, null, PageTrouble::Failing];
        yield 'kept out' => [200, false, PageTrouble::NotIndexable];
        yield 'kept out, status unknown' => [null, false, PageTrouble::NotIndexable];
    }

    #[DataProvider('pages')]
    public function test_a_page_that_search_engines_do_not_show_is_named(?int $status, ?bool $isIndexable, ?PageTrouble $expected): void
    {
        self::assertSame($expected, PageTrouble::of($status, $isIndexable));
    }

    public function test_a_status_has_three_digits_and_a_known_class(): void
    {
        self::assertSame([false, true, true, false], array_map(PageTrouble::isStatus(...), [99, 100, 599, 600]));
    }

    public function test_what_most_leading_pages_cover_and_ours_does_not_comes_first(): void
    {
        $theirs = [['Bee suits', 'How to wash a suit', 'Sizes'], ['Wash a suit', 'Veils'], ['Veil'], []];
        self::assertSame(
            ['How to wash a suit', 'Veils', 'Sizes'],
            UncoveredHeadings::among($theirs, ['Bee suit', '!'], self::stemmer()),
        );
        self::assertSame([], UncoveredHeadings::among([['Bee suits'], ['…']], ['Bee suit'], self::stemmer()));
        self::assertSame(['Bee suits'], UncoveredHeadings::among([['Bee suits']], [], self::stemmer()));
    }

    /** Without the letter s at the end. */
    private static function stemmer(): Stemmer
    {
        return new class implements Stemmer {
            public function stems(array $words): array
            {
                return array_combine($words, array_map(static fn(string $word): string => rtrim($word, 's'), $words));
            }
        };
    }

    /** @return iterable<string, array{ProposedChange, Tactic, string}> */
    public static function changes(): iterable
    {
        $page = 'https://us.example/suits';
        yield 'a new page' => [
            new ProposedChange('bee suit', null, null, 3, 2, uncovered: ['Sizes', 'Veils', 'Washing', 'Zips']),
            Tactic::NewPage,
            'Write a page for “bee suit” and 2 more keywords, aiming for position 3.'
                .' Cover what the leading pages cover: Sizes; Veils; Washing.',
        ];
        yield 'one keyword more' => [
            new ProposedChange('bee suit', $page, null, 3, 1),
            Tactic::ExtendPage,
            "Extend /suits so that it also answers “bee suit” and one more keyword, aiming for position 3.",
        ];
        yield 'from where to where' => [
            new ProposedChange('bee suit', $page, 9, 4, 0, uncovered: ['Sizes']),
            Tactic::ImprovePage,
            "Improve /suits for “bee suit”, from position 9 to 4. Cover what the leading pages cover and ours doesn’t: Sizes.",
        ];
        yield 'merged' => [
            new ProposedChange('bee suit', $page, 9, 4, 0, ['https://us.example/b', 'https://us.example/c']),
            Tactic::MergePages,
            "Merge /b and /c into /suits and redirect them.",
        ];
        yield 'a title' => [
            new ProposedChange('bee suit', $page, 2, 2, 0, uncovered: ['Sizes'], title: 'Item 7'),
            Tactic::TestTitle,
            "Test a title for /suits that answers “bee suit”. Today it reads “Item 7”.",
        ];
        yield 'no target' => [new ProposedChange('bee suit', $page, 2, null, 0), Tactic::ImprovePage, "Improve /suits for “bee suit”."];
    }

    #[DataProvider('changes')]
    public function test_the_change_is_said_in_a_sentence(ProposedChange $change, Tactic $tactic, string $expected): void
    {
        self::assertSame($expected, $change->sentence($tactic));
    }
}
