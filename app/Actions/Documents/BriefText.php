<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Bench\PageOneQuery;
use App\Actions\Plans\BriefQuery;
use GreaterReach\Core\Meaning\Intent;

/**
 * The facts and the written parts of a brief with the names they have in every document.
 *
 * @phpstan-import-type Brief from BriefQuery
 * @phpstan-import-type Prospect from BriefQuery
 * @phpstan-import-type ShownResult from PageOneQuery
 */
final class BriefText
{
    /**
     * @param Brief $brief as BriefQuery gives it
     *
     * @return array<string, string> name → value, what is unknown left out
     */
    public static function of(array $brief): array
    {
        $item = $brief['item'];
        $facts = [
            'Lead' => $item['lead'] === $item['name'] ? null : $item['lead'],
            'Tactic' => $item['tactic'],
            'Month' => $item['month'],
            'Publish by' => $brief['publish_by'],
            'Owner' => $item['owner'],
            'Due' => $item['due'],
            'Our page' => $brief['our_page'] ?? 'new page',
            'Our position' => $brief['our_position'] ?? 'absent',
            'Target' => $brief['target'],
            'Gain, visits a month' => $brief['gain'] === null ? null : (string) round($brief['gain']),
            'Intent' => $brief['intent'],
            'Funnel stage' => $brief['stage'] ?? 'unset',
            'Links to earn' => $item['links_to_earn'],
            'Published at' => $item['published_url'],
        ];

        return array_map(strval(...), array_filter($facts, static fn(mixed $value): bool => $value !== null && $value !== ''));
    }

    /**
     * What stands after the keywords, in order.
     *
     * @param Brief $brief
     *
     * @return array<string, list<string>> heading → lines, empty sections left out
     */
    public static function sections(array $brief): array
    {
        $rivals = [];
        foreach ($brief['rivals'] as $rival) {
            $rivals['Page to beat: '.$rival['url']] = $rival['headings'];
        }
        $work = $brief['work'];
        $sections = [
            'Our page today' => self::pageToday($brief),
            'Covered by leading pages, not by ours' => $work['uncovered'] ?? [],
            'Questions to answer' => $brief['questions'],
            ...$rivals,
            'Our pages that should link to it' => array_map(
                static fn(array $one): string => "{$one['url']} ranks for “{$one['keyword']}”",
                $work['internal_links'] ?? [],
            ),
            'Link prospects' => array_map(self::prospect(...), $brief['prospects']),
            'What page one answers' => self::intents($brief['page_one_intents']),
        ];

        return array_filter($sections, static fn(array $lines): bool => $lines !== []);
    }

    /**
     * @param Brief $brief
     *
     * @return list<string>
     */
    private static function pageToday(array $brief): array
    {
        $page = $brief['work']['page_today'] ?? null;
        $facts = $page === null ? [] : [
            'Title' => $page['title'],
            'Heading' => $page['h1'],
            'Words' => $page['words'] === null ? null : number_format($page['words']),
            'Published' => $page['published'],
            'Updated' => $page['updated'],
            'Links from our pages' => $page['inlinks'],
        ];
        $known = array_filter($facts, static fn(mixed $value): bool => $value !== null);
        $lines = array_map(static fn(string $name, mixed $value): string => "{$name}: {$value}", array_keys($known), $known);
        $trouble = $page['trouble'] ?? null;

        return [...($trouble === null ? [] : [$trouble]), ...$lines];
    }

    /**
     * @param list<array{intent: string, titles: int}> $intents
     *
     * @return list<string>
     */
    private static function intents(array $intents): array
    {
        $all = array_sum(array_column($intents, 'titles'));

        return array_map(
            static fn(array $one): string => $one['intent'] === Intent::Open->value
                ? "{$one['titles']} of {$all} titles: no clear intent"
                : "{$one['titles']} of {$all} titles: for people who want to {$one['intent']}",
            $intents,
        );
    }

    /** @param Prospect $one whom to ask for a link */
    private static function prospect(array $one): string
    {
        return sprintf(
            '%s%s links to %d of the leading pages',
            $one['domain'],
            $one['authority'] === null ? '' : " (authority {$one['authority']})",
            \count($one['pages']),
        );
    }

    /**
     * @param ShownResult $result
     *
     * @return string why it could be passed; empty where nothing is known that says so
     */
    public static function opening(array $result): string
    {
        $openings = ['weak' => $result['is_weak'], 'off topic' => $result['is_off_topic'] === true];

        return implode(', ', array_keys(array_filter($openings)));
    }

    /**
     * @param Brief $brief
     *
     * @return array<string, string> heading → text, empty ones left out; what to change first
     */
    public static function written(array $brief): array
    {
        /** @var array<string, ?string> $written */
        $written = (array) $brief['written'];
        $parts = [
            'What to change' => $brief['work']['change'] ?? '',
            'Angle' => $written['angle'] ?? '',
            'Call to action' => $written['call_to_action'] ?? '',
            'Notes' => $written['notes'] ?? '',
            'From the writer' => $brief['item']['writer_note'] ?? '',
        ];

        return array_filter($parts, static fn(string $text): bool => $text !== '');
    }
}
