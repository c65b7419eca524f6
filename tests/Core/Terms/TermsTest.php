<?php

declare(strict_types=1);

namespace Tests\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Terms\CandidateTerms;
use GreaterReach\Core\Terms\HtmlDocument;
use GreaterReach\Core\Terms\HtmlText;
use GreaterReach\Core\Terms\StopWords;
use GreaterReach\Core\Terms\TermOptions;
use PHPUnit\Framework\TestCase;

final class TermsTest extends TestCase
{
    private const TEXT = 'The bee hive stands in the sun. A bee hive of wood; bee hive, bee hive! The queen of the hive and the queen '
        .'of the colony.';

    public function test_phrases_are_counted_inside_sentences_without_stop_words_at_their_ends(): void
    {
        self::assertSame(['hive' => 5, 'bee hive' => 4, 'bee' => 4, 'queen' => 2], $this->terms(self::TEXT, TermOptions::of()));
    }

    public function test_a_stop_word_may_stand_inside_a_phrase(): void
    {
        self::assertSame(
            ['queen of the colony' => 1, 'queen of the hive' => 1],
            $this->terms('Queen of the hive. Queen of the colony.', TermOptions::of(4, 4, occurrences: 1)),
        );
    }

    public function test_options_narrow_the_list(): void
    {
        self::assertSame(['bee hive' => 4], $this->terms(self::TEXT, TermOptions::of(fromWords: 2, toWords: 2)));
        self::assertSame(['hive' => 5], $this->terms(self::TEXT, TermOptions::of(1, 1, letters: 4, occurrences: 3)));
        self::assertSame(['hive' => 5, 'bee hive' => 4], $this->terms(self::TEXT, TermOptions::of(top: 2)));
        self::assertSame([], $this->terms('', TermOptions::of()));
    }

    public function test_options_that_contradict_each_other_are_refused(): void
    {
        $this->expectException(InvalidValue::class);
        TermOptions::of(3, 2);
    }

    public function test_a_page_says_its_text_without_what_frames_it(): void
    {
        $html =
            '<!doctype html><title>Hives</title><body><nav>Home Shop</nav><h1>Bee <b>hi</b>ves</h1><p>Für Bienen &amp; '
                .'Imker<script>alert("x")</script><p>Zwei<footer>Imprint</footer>';
        self::assertSame("Bee hives\nFür Bienen & Imker\nZwei", HtmlText::of($html));
        self::assertSame('', HtmlText::of('  '));
        self::assertSame('broken', HtmlText::of('<p><b>broken</i></div>'));
    }

    public function test_a_page_reaches_for_nothing_outside(): void
    {
        $text = HtmlText::of(
            '<!DOCTYPE html SYSTEM "http://127.0.0.1:1/x.dtd" [<!ENTITY e SYSTEM "file:///etc/passwd">]><body>text &e;</body>',
        );
        self::assertStringContainsString('text', $text);
        self::assertStringNotContainsString('root:', $text);
    }

    public function test_a_page_too_large_is_refused(): void
    {
        $this->expectException(InvalidValue::class);
        HtmlText::of(str_repeat('x', HtmlText::MAX_BYTES + 1));
    }

    /** @return array<array-key, int> */
    private function terms(string $text, TermOptions $options): array
    {
        $stopWords = new class implements StopWords {
            public function among(array $words): array
            {
                return array_fill_keys(array_intersect($words, ['the', 'of', 'and', 'in', 'a']), true);
            }
        };

        return (new CandidateTerms($stopWords))->in($text, $options);
    }

    public function test_a_page_may_have_five_million_bytes_and_a_phrase_its_most_words(): void
    {
        self::assertNotNull(HtmlDocument::read(str_pad('<p>hive</p>', HtmlDocument::MAX_BYTES)));
        try {
            HtmlDocument::read(str_pad('<p>hive</p>', HtmlDocument::MAX_BYTES + 1, 'x'));
            self::fail('It was read.');
        } catch (InvalidValue $refused) {
            self::assertStringContainsString('"<p>hive</p>'.str_repeat('x', 29).'" is larger than 5,000,000 bytes', $refused->getMessage());
        }
    }

    public function test_phrases_may_have_eight_words(): void
    {
        self::assertSame(8, TermOptions::of(8, 8)->toWords);
        foreach ([[1, 9], [0, 4], [5, 4]] as [$from, $to]) {
            try {
                TermOptions::of($from, $to);
                self::fail('It was taken.');
            } catch (InvalidValue $refused) {
                self::assertStringContainsString('isn’t between 1 and 8', $refused->getMessage());
            }
        }
    }

    public function test_each_option_may_be_one_and_no_less(): void
    {
        self::assertEquals(TermOptions::of(1, 1, 1, 1, 1), TermOptions::of(1, toWords: 1, letters: 1, occurrences: 1, top: 1));
        foreach ([['letters' => 0], ['occurrences' => 0], ['top' => 0], ['fromWords' => 0], ['fromWords' => 3, 'toWords' => 2]] as $wrong) {
            try {
                TermOptions::of(...$wrong);
                self::fail(json_encode($wrong).' was taken.');
            } catch (InvalidValue $problem) {
                self::assertMatchesRegularExpression('/need at least one|isn’t between 1 and 8/', $problem->getMessage());
            }
        }
    }
}
