<?php

declare(strict_types=1);

namespace App\Actions\Documents;

use App\Actions\Plans\BriefQuery;

/**
 * A brief as Markdown, to hand to a writer.
 *
 * @phpstan-import-type Brief from BriefQuery
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
            '| keyword | volume | we |',
            '|---|---:|---:|',
        );
        foreach ($brief['keywords'] as $keyword) {
            $lines[] =
                '| '.
                self::plain($keyword['keyword']).
                ' | '.
                ($keyword['volume'] ?? '·').
                ' | '.
                ($keyword['own_position'] ?? '·').
                ' |';
        }
        array_push($lines, ...self::rivals($brief));

        return implode("\n", $lines)."\n";
    }

    /**
     * @param Brief $brief
     *
     * @return list<string>
     */
    private static function rivals(array $brief): array
    {
        $lines = [];
        if ($brief['questions'] !== []) {
            array_push(
                $lines,
                '',
                '## Questions to answer',
                '',
                ...array_map(static fn(string $question): string => '- '.self::plain($question), $brief['questions']),
            );
        }
        foreach ($brief['rivals'] as $rival) {
            array_push(
                $lines,
                '',
                '## Page to beat: '.self::plain($rival['url']),
                '',
                ...array_map(static fn(string $heading): string => '- '.self::plain($heading), $rival['headings']),
            );
        }
        if ($brief['prospects'] !== []) {
            $asked = array_map(static fn(string $line): string => '- '.self::plain($line), BriefText::prospects($brief));
            array_push($lines, '', '## Link prospects', '', ...$asked);
        }
        if ($brief['page_one'] !== []) {
            $heading = '| position | page | strength | referring domains | opening |';
            array_push($lines, '', '## Page one', '', $heading, '|---:|---|---:|---:|---|');
            foreach ($brief['page_one'] as $result) {
                $lines[] = sprintf(
                    '| %d | %s | %s | %s | %s |',
                    $result['position'],
                    self::plain((string) $result['url']),
                    $result['page_strength'] ?? '·',
                    $result['referring_domains'] ?? '·',
                    BriefText::opening($result),
                );
            }
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
