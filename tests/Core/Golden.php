<?php

declare(strict_types=1);

namespace Tests\Core;

/** Reads text fixtures: blocks of `name: value` lines, separated by blank lines; `#` begins a comment. */
final class Golden
{
    /** @return iterable<string, array{array<string, string>}> */
    public static function cases(string $path): iterable
    {
        foreach (explode("\n\n", trim((string) file_get_contents($path))) as $number => $block) {
            $case = [];
            foreach (explode("\n", $block) as $line) {
                if ($line !== '' && ! str_starts_with($line, '#')) {
                    [$name, $value] = explode(':', $line, 2);
                    $case[trim($name)] = self::unescape(trim($value));
                }
            }
            if ($case !== []) {
                yield '#'.$number.' '.($case['case'] ?? reset($case)) => [$case];
            }
        }
    }

    private static function unescape(string $value): string
    {
        $character = static fn(array $match): string => (string) mb_chr((int) hexdec($match[1]));
        $text = preg_replace_callback('/\\\\u\{([0-9A-Fa-f]+)\}/', $character, $value);

        return str_replace(['\\t', '\\s'], ["\t", ' '], (string) $text);
    }
}
