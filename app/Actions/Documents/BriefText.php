<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Bench\PageOneQuery;
use App\Actions\Plans\BriefQuery;

/**
 * The facts and the written parts of a brief with the names they have in every document.
 *
 * @phpstan-import-type Brief from BriefQuery
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
            'Aim' => $brief['target'],
            'Gain, visits a month' => $brief['gain'] === null ? null : (string) round($brief['gain']),
            'Intent' => $brief['intent'],
            'Funnel stage' => $brief['stage'] ?? 'unset',
            'Links to earn' => $item['links_to_earn'],
            'Published at' => $item['published_url'],
        ];

        return array_map(strval(...), array_filter($facts, static fn(mixed $value): bool => $value !== null && $value !== ''));
    }

    /**
     * @param Brief $brief
     *
     * @return list<string> whom to ask for a link, a line each
     */
    public static function prospects(array $brief): array
    {
        return array_map(static fn(array $one): string => sprintf(
            '%s%s links to %d of the leading pages',
            $one['domain'],
            $one['authority'] === null ? '' : " (authority {$one['authority']})",
            \count($one['pages']),
        ), $brief['prospects']);
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
     * @return array<string, string> heading → text, empty ones left out
     */
    public static function written(array $brief): array
    {
        /** @var array<string, ?string> $written */
        $written = (array) $brief['written'];
        $parts = [
            'Angle' => $written['angle'] ?? '',
            'Call to action' => $written['call_to_action'] ?? '',
            'Notes' => $written['notes'] ?? '',
            'From the writer' => $brief['item']['writer_note'] ?? '',
        ];

        return array_filter($parts, static fn(string $text): bool => $text !== '');
    }
}
