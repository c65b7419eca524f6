<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Bench\PageOneQuery;
use App\Actions\Plans\BriefQuery;

/**
 * A brief as Markdown, to hand to a writer.
 *
 * @phpstan-import-type Brief from BriefQuery
 * @phpstan-import-type ShownResult from PageOneQuery
 */
final class BriefMarkdown
{
    /** @param Brief $brief as BriefQuery gives it */
    public static function markdown(array $brief): string
    {
        $item = $brief['item'];
        $lines = ['# '.self::plain((string) $item['name']), ''];
        foreach (BriefText::of($brief) as $name => $value) {
            $lines[] = "- **{$name}**: ".self::plain($value);
        }
        foreach (BriefText::written($brief) as $heading => $text) {
            array_push($lines, '', '## '.$heading, '', self::plain($text));
        }
        array_push(
            $lines,
            '',
            '## Keywords',
            '',
            'Most visits from: **'.self::plain((string) $brief['traffic_leader']).'**',
            '',
            '| keyword | volume | we | our page for it |',
            '|---|---:|---:|---|',
        );
        foreach ($brief['keywords'] as $keyword) {
            $lines[] =
                '| '.
                self::plain($keyword['keyword']).
                ' | '.
                ($keyword['volume'] ?? '·').
                ' | '.
                ($keyword['own_position'] ?? '·').
                ' | '.
                self::plain($keyword['own_url'] ?? '·').
                ' |';
        }
        foreach (BriefText::sections($brief) as $heading => $texts) {
            $items = array_map(static fn(string $text): string => '- '.self::plain($text), $texts);
            array_push($lines, '', '## '.self::plain($heading), '', ...$items);
        }

        return implode("\n", [...$lines, ...self::pageOne($brief['page_one'])])."\n";
    }

    /**
     * @param list<ShownResult> $results
     *
     * @return list<string>
     */
    private static function pageOne(array $results): array
    {
        if ($results === []) {
            return [];
        }
        $lines = ['', '## Page one', '', '| position | page | strength | referring domains | opening |', '|---:|---|---:|---:|---|'];
        foreach ($results as $result) {
            $lines[] = sprintf(
                '| %d | %s | %s | %s | %s |',
                $result['position'],
                self::plain((string) $result['url']),
                $result['page_strength'] ?? '·',
                $result['referring_domains'] ?? '·',
                BriefText::opening($result),
            );
        }

        return $lines;
    }

    /** Text that means nothing to Markdown. */
    private static function plain(string $text): string
    {
        $escaped = (string) preg_replace('/([\\\\`*_\[\]<>|])/', '\\\\$1', str_replace("\r", '', $text));

        return (string) preg_replace('/^(\s*)([#+-])/m', '$1\\\\$2', $escaped);
    }
}
