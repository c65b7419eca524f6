<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** The day that the name of a file tells: a whole day, or a month, which then means its first day. */
final readonly class FileDay
{
    private const MONTHS = 'jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sep(?:t(?:ember)?)?|oct(?:ober)?'
        .'|nov(?:ember)?|dec(?:ember)?';
    private const NAMES = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
    private const EARLIEST = 1990;
    private const LATEST = 2100;

    private function __construct(
        /** YYYY-MM-DD. */
        public string $day,
        /** As the name has it. */
        public string $written,
        public bool $isMonth,
    ) {
    }

    public static function in(string $fileName): ?self
    {
        $name = mb_strtolower($fileName, 'UTF-8');

        return self::dated($name, '/(?<!\d)(\d{4})([-_.]?)(\d{2})\2(\d{2})(?!\d)/', [1, 3, 4])
            ?? self::dated($name, '/(?<!\d)(\d{4})[-_.]?(\d{2})(?!\d)/', [1, 2])
            ?? self::named($name);
    }

    /** What is left of a name without its day, the same from month to month. */
    public static function nameWithout(string $fileName): string
    {
        $name = mb_strtolower($fileName, 'UTF-8');
        $name = (string) preg_replace('/(?<![a-z])(?:'.self::MONTHS.')(?![a-z])/', '', $name);

        return (string) preg_replace('/[\d\s_.()-]+/', ' ', $name);
    }

    /** @param list<int> $parts numbers of the groups of year, month and day */
    private static function dated(string $name, string $pattern, array $parts): ?self
    {
        preg_match_all($pattern, $name, $found, PREG_SET_ORDER);
        foreach ($found as $match) {
            [$year, $month, $day] = [...array_map(static fn(int $part): int => (int) $match[$part], $parts), 1];
            if (self::isDay($year, $month, $day)) {
                return new self(sprintf('%04d-%02d-%02d', $year, $month, $day), $match[0], \count($parts) === 2);
            }
        }

        return null;
    }

    private static function named(string $name): ?self
    {
        $month = '(?<![a-z])('.self::MONTHS.')(?![a-z])';
        $isFound = preg_match("/{$month}[-_ .]*(\d{4})(?!\d)/", $name, $match) === 1;
        if (! $isFound && preg_match("/(?<!\d)(\d{4})[-_ .]*{$month}/", $name, $match) !== 1) {
            return null;
        }
        [$word, $year] = $isFound ? [$match[1], (int) $match[2]] : [$match[2], (int) $match[1]];
        $number = 1 + (int) array_search(substr($word, 0, 3), self::NAMES, true);

        return self::isDay($year, $number, 1) ? new self(sprintf('%04d-%02d-01', $year, $number), $match[0], true) : null;
    }

    private static function isDay(int $year, int $month, int $day): bool
    {
        return $year >= self::EARLIEST && $year < self::LATEST && checkdate($month, $day, $year);
    }
}
