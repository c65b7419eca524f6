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

    public function test_what_a_topic_is_called_by_is_its_subject_however_many_topics_share_it(): void
    {
        $words = new OpenWords();
        foreach (['honey jar', 'honey bucket', 'honey label'] as $topic) {
            $words->add($topic, $topic);
            $words->add("small {$topic}", $topic);
        }
        $words->add('small honey', null);
        self::assertSame([['word' => 'small', 'keywords' => 3, 'topics' => 3]], $words->often([], 9));
    }
}
