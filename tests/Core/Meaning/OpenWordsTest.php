<?php

declare(strict_types=1);

namespace Tests\Core\Meaning;

use GreaterReach\Core\Meaning\OpenWords;
use PHPUnit\Framework\TestCase;

final class OpenWordsTest extends TestCase
{
    public function test_a_word_of_many_topics_may_be_a_rule_and_one_of_a_single_topic_is_its_subject(): void
    {
        $words = new OpenWords();
        foreach (['ink', 'nib', 'wax', 'seal'] as $subject) {
            $words->add("{$subject} workshop", $subject);
            $words->add("{$subject} {$subject} colours", $subject);
        }
        $words->add('ink pot', 'ink');
        $words->add('ink well', 'ink');
        $words->add('the seal 20', null);
        self::assertSame(
            [['word' => 'workshop', 'keywords' => 4, 'topics' => 4]],
            $words->often(['colours' => true], 9),
        );
        self::assertSame(['colours', 'workshop'], array_column($words->often([], 9), 'word'), 'Equal ones by their letters.');
        self::assertCount(1, $words->often([], 1));
    }

    public function test_keywords_without_a_topic_count_each_for_itself(): void
    {
        $words = new OpenWords();
        foreach (['red pen', 'blue pen'] as $keyword) {
            $words->add($keyword, null);
        }
        self::assertSame([], $words->often([], 9));
        $words->add('green pen', null);
        $words->add('pen 20 20', null);
        self::assertSame([['word' => 'pen', 'keywords' => 4, 'topics' => 4]], $words->often([], 9));
    }
}
