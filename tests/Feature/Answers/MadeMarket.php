<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

/** A small made-up market of stationers, the same each time: files as somebody would bring them. */
final class MadeMarket
{
    public const OWN = 'quillfair.example';
    public const RIVALS = ['inkmoor.example', 'nibhouse.example', 'blotter.example'];

    /** Of the newest lists, the ones before, and those of half a year and a year ago. */
    private const DAYS = ['2025-11-01', '2026-05-01', '2026-08-01', '2026-10-01', '2026-11-01'];

    /** A name that the study does not know to be one: one domain alone ranks for it, and first. */
    private const BRAND = 'penwright';

    private const FIRST = ['buy', 'best', 'how to clean', 'blue', 'cheap', '', 'inkmoor', 'vintage', self::BRAND];
    private const THINGS = ['pen', 'fountain pen', 'ink', 'nib', 'wax seal', 'paper'];
    private const LAST = ['', 'for sale', 'ideas'];
    private const PAGES = ['', 'pens', 'shop/ink', 'guides/cleaning', 'shop?sort=new'];
    private const FEATURES = ['', '', '', 'answer', 'video; images', 'map'];

    /** @return list<string> */
    public static function keywords(): array
    {
        $keywords = [];
        foreach (self::FIRST as $first) {
            foreach (self::THINGS as $thing) {
                foreach (self::LAST as $last) {
                    $keywords[] = trim("{$first} {$thing} {$last}");
                }
            }
        }

        return $keywords;
    }

    /** @return iterable<array{string, string, array<string, string>}> kind, content and options of each import */
    public static function files(): iterable
    {
        mt_srand(20_261_120);
        $places = [];
        foreach (self::DAYS as $date) {
            foreach ([self::OWN, ...self::RIVALS] as $number => $domain) {
                $places[$domain] = self::moved($places[$domain] ?? self::begun(70 - 9 * $number));
                $list = self::rankings($domain, self::named($domain) + $places[$domain]);
                yield ['rankings', $list, ['--domain' => $domain, '--date' => $date]];
            }
        }
        foreach (['2026-10-01', '2026-11-01'] as $date) {
            foreach ([self::OWN => 9, self::RIVALS[0] => 12] as $domain => $count) {
                $ads = ['--domain' => $domain, '--date' => $date, '--channel' => 'paid'];
                yield ['rankings', self::rankings($domain, self::begun($count)), $ads];
            }
        }
        yield ['keywords', self::months(), ['--date' => '2026-10-15']];
        yield ['domains', self::domains(), ['--date' => '2026-11-01']];
        yield ['results', self::results(), ['--date' => '2026-11-01']];
        foreach (['2026-09-30', '2026-10-31', '2026-11-15'] as $date) {
            yield ['performance', self::performance(), ['--date' => $date]];
        }
        yield ['links', self::links(), ['--date' => '2026-11-02']];
    }

    /** @return array<string, int> keyword → position, of those that bear the name */
    private static function named(string $domain): array
    {
        $named = array_filter(self::keywords(), static fn(string $keyword): bool => str_starts_with($keyword, self::BRAND));

        return $domain === self::RIVALS[1] ? array_fill_keys($named, 1) : [];
    }

    /** @return array<string, int> keyword → position */
    private static function begun(int $count): array
    {
        $places = [];
        foreach (self::some($count) as $keyword) {
            $places[$keyword] = mt_rand(1, mt_rand(0, 2) === 0 ? 80 : 24);
        }

        return $places;
    }

    /**
     * @param array<string, int> $places
     *
     * @return array<string, int> a month later: most moved a little, some gone, some new
     */
    private static function moved(array $places): array
    {
        foreach ($places as $keyword => $position) {
            $places[$keyword] = max(1, $position + mt_rand(-4, 3));
            if (mt_rand(0, 24) === 0) {
                unset($places[$keyword]);
            }
        }

        return $places + self::begun(4);
    }

    /** @param array<string, int> $places */
    private static function rankings(string $domain, array $places): string
    {
        $text = "keyword,position,url,volume,difficulty,cpc,features\n";
        foreach ($places as $keyword => $position) {
            $page = self::PAGES[crc32($keyword.$domain) % \count(self::PAGES)];
            $figures = [self::volume($keyword), crc32($keyword) % 90, (crc32($keyword) % 400) / 100];
            $features = self::FEATURES[crc32($keyword) % 6];
            $text .= implode(',', [$keyword, $position, "https://{$domain}/{$page}", ...$figures, $features])."\n";
            if (mt_rand(0, 15) === 0) {
                $text .= implode(',', [$keyword, $position + 5, "https://{$domain}/second", '', '', '', ''])."\n";
            }
        }

        return $text;
    }

    private static function volume(string $keyword): int
    {
        return 10 * (1 + crc32($keyword) % 300);
    }

    private static function months(): string
    {
        $text = 'keyword,volume,'.implode(',', array_map(static fn(int $month): string => "m{$month}", range(1, 12)))."\n";
        foreach (self::some(60) as $keyword) {
            $peak = crc32($keyword) % 12;
            $volumes = array_map(
                static fn(int $month): int => (int) round(self::volume($keyword) * ($month === $peak ? 2.5 : .8)),
                range(0, 11),
            );
            $text .= implode(',', [$keyword, self::volume($keyword), ...$volumes])."\n";
        }

        return $text;
    }

    private static function domains(): string
    {
        $text = "domain,authority,referring domains\n";
        foreach ([self::OWN, ...self::RIVALS, 'waxwing.example'] as $number => $domain) {
            $text .= sprintf("%s,%d,%d\n", $domain, 31 + 8 * $number, 140 + 90 * $number);
        }

        return $text;
    }

    private static function results(): string
    {
        $text = "keyword,position,url,referring_domains,title,authority,page strength\n";
        foreach (self::some(30) as $keyword) {
            foreach (range(1, 9, 2) as $position) {
                $domain = [...self::RIVALS, 'waxwing.example', 'letters.example'][mt_rand(0, 4)];
                $told = [mt_rand(0, 40), ['', 'All of it', "All about {$keyword}"][mt_rand(0, 2)], mt_rand(5, 70), mt_rand(1, 60)];
                $text .= implode(',', [$keyword, $position, "https://{$domain}/page-{$position}", ...$told])."\n";
            }
        }

        return $text;
    }

    private static function performance(): string
    {
        $text = "query,clicks,impressions,position,page\n";
        foreach (self::some(50) as $keyword) {
            $page = self::PAGES[crc32($keyword.self::OWN) % \count(self::PAGES)];
            $figures = [mt_rand(0, 30), mt_rand(60, 900), mt_rand(10, 300) / 10];
            $text .= implode(',', [$keyword, ...$figures, 'https://'.self::OWN."/{$page}"])."\n";
        }

        return $text;
    }

    private static function links(): string
    {
        $text = "linking_domain,target_url,authority,anchor\n";
        foreach (range(1, 25) as $number) {
            $target = [self::OWN, ...self::RIVALS][mt_rand(0, 3)].'/'.self::PAGES[mt_rand(0, 3)];
            $text .= sprintf("club-%d.example,https://%s,%d,%s\n", $number % 9, $target, 20 + 5 * ($number % 9), "word {$number}");
        }

        return $text;
    }

    /** @return list<string> */
    private static function some(int $count): array
    {
        $others = array_filter(self::keywords(), static fn(string $keyword): bool => ! str_starts_with($keyword, self::BRAND));

        return array_map(strval(...), (array) array_rand(array_flip($others), $count));
    }
}
