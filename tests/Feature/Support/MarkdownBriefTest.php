<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Actions\Documents\BriefMarkdown;
use PHPUnit\Framework\TestCase;

final class MarkdownBriefTest extends TestCase
{
    public function test_every_part_has_its_heading_and_nothing_is_read_as_markdown(): void
    {
        $markdown = BriefMarkdown::markdown([
            'item' => [
                'id' => 1,
                'unit' => 'topic',
                'name' => 'a|b [pen]',
                'lead' => 'pen',
                'status' => 'planned',
                'published_url' => null,
                'writer_note' => null,
                'tactic' => 'new page',
                'month' => '2026-12',
                'owner' => '',
                'due' => null,
                'links_to_earn' => 2,
                'effort_days' => 3.0,
            ],
            'topic' => 'pen',
            'publish_by' => null,
            'our_page' => null,
            'our_position' => null,
            'target' => 3,
            'gain' => 12.6,
            'intent' => 'buy',
            'stage' => 'bottom',
            'written' => (object) ['notes' => "# not a heading\nsecond line"],
            'traffic_leader' => 'pen',
            'keywords' => [[
                'keyword' => 'pen', 'is_lead' => true, 'volume' => null, 'own_position' => 7, 'own_url' => null, 'potential' => null,
            ]],
            'questions' => ['how to hold a pen'],
            'rivals' => [['url' => 'https://a.example/x_y', 'is_chosen' => false, 'headings' => ['One', 'Two']]],
            'work' => [
                'page_today' => [
                    'title' => 'Pens_and more', 'h1' => null, 'words' => 1200, 'status' => 301,
                    'published' => null, 'updated' => '2026-10-01',
                    'inlinks' => 4, 'trouble' => 'This page redirects.', 'headings' => [],
                ],
                'uncovered' => ['Nibs'],
                'competing_pages' => [],
                'internal_links' => [
                    ['url' => 'https://us.example/ink', 'keyword' => 'ink', 'keywords' => 2, 'visits' => 4.0],
                ],
                'change' => 'Write a page.',
            ],
            'page_one_intents' => [['intent' => 'buy', 'titles' => 2], ['intent' => 'open', 'titles' => 1]],
            'prospects' => [['domain' => 'my_club.example', 'authority' => null, 'pages' => ['https://a.example/x_y']]],
            'page_one' => [
                [
                    'position' => 1,
                    'url' => 'https://a.example/',
                    'title' => null,
                    'authority' => null,
                    'page_strength' => null,
                    'referring_domains' => 3,
                    'day' => '2026-11-01',
                    'is_weak' => false,
                    'is_off_topic' => null,
                ],
            ],
        ]);
        self::assertStringStartsWith("# a\\|b \\[pen\\]\n", $markdown);
        foreach (
            [
                '- **Gain, visits a month**: 13',
                '- **Our page**: new page',
                '| pen | · | 7 | · |',
                "## What to change\n\nWrite a page.\n",
                "## Our page today\n\n- This page redirects.\n- Title: Pens\\_and more\n- Words: 1,200\n- Updated: 2026-10-01\n"
                    ."- Links from our pages: 4\n",
                "## Covered by leading pages, not by ours\n\n- Nibs\n",
                '- https://us.example/ink ranks for “ink”',
                '- 2 of 3 titles: for people who want to buy',
                '- 1 of 3 titles: no clear intent',
                '- how to hold a pen',
                '## Page to beat: https://a.example/x\\_y',
                '- my\\_club.example links to 1 of the leading pages',
                '| 1 | https://a.example/ | · | 3 |',
            ] as $line
        ) {
            self::assertStringContainsString($line, $markdown);
        }
        self::assertStringNotContainsString('**Owner**', $markdown);
        self::assertStringContainsString("\\# not a heading\nsecond line", $markdown);
    }
}
