<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\MemberFiles;
use App\Actions\Comparisons\Part;
use App\Actions\Comparisons\TopicMember;
use App\Support\Database\KeyRange;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\Work;
use Illuminate\Support\Facades\File;
use Tests\TestCase;

/** What keywords bring to their topics comes out of the files as it went in, topic by topic. */
final class TopicMemberTest extends TestCase
{
    public function test_every_figure_comes_back_to_the_last_digit(): void
    {
        $tactic = TacticLabel::parse('improve page + links');
        $work = new Work($tactic, 3, 1.5, 0.25, 0.0, 1 / 7);
        $title = new TitleTest(2 / 3, 1 / 3, true);
        $open = new OpenKeyword('1984', 7, 900, 100 / 3, 0.1 + 0.2, 1e-7, 2.0, $work, $title, 1 / 9, 4, Intent::Open, 3.5);
        $unknown = new Work($tactic, 3, null, null, null, null);
        $none = new OpenKeyword('1984', null, null, null, null, null, null, $unknown, null, null, null, Intent::Open, null);
        foreach ([$open, $none, null] as $keyword) {
            foreach ([[], ['https://a.example/é' => 3, '7' => 100]] as $pages) {
                $topic = "a \"topic\" \\ with\ttab\u{2028}";
                $member = new TopicMember($topic, '1984', $keyword?->volume, $keyword?->potential, $pages, $keyword);
                $line = $member->toLine();
                self::assertSame(1, substr_count($line, "\n"), 'A keyword is one line.');
                self::assertEquals($member, TopicMember::fromLine($line));
                self::assertSame($keyword?->difficulty, TopicMember::fromLine($line)->open?->difficulty);
            }
        }
    }

    public function test_a_topic_is_together_in_one_part_whichever_parts_its_keywords_come_from(): void
    {
        $folder = sys_get_temp_dir().'/members-'.getmypid();
        File::makeDirectory($folder);
        $parts = array_map(static fn(int $number): Part => new Part($number, 3, new KeyRange(), $folder), [0, 1, 2]);
        foreach ($parts as $part) {
            $files = new MemberFiles($part);
            foreach (['pen', 'pen box', 'pen"', 'ink', 'a', 'ab', '1'] as $topic) {
                $files->add(new TopicMember($topic, "{$topic} {$part->number}", null, null, [], null));
            }
            self::assertFileDoesNotExist($part->members(0), 'It is not complete yet.');
            $files->end();
        }
        $seen = [];
        foreach ($parts as $part) {
            $order = [];
            foreach (TopicMember::ofFiles($part->needs('topics')) as $member) {
                self::assertSame($part->number, $part->ofTopic($member->topic));
                $order[] = $member->topic;
                $seen[$member->topic][] = $member->keyword;
            }
            self::assertCount(\count(array_unique($order)), array_filter(
                $order,
                static fn(int $place): bool => $place === 0 || $order[$place] !== $order[$place - 1],
                ARRAY_FILTER_USE_KEY,
            ), 'Each topic begins once.');
        }
        self::assertCount(7, $seen);
        foreach ($seen as $keywords) {
            self::assertCount(3, $keywords);
        }
        File::deleteDirectory($folder);
    }
}
