<?php

declare(strict_types=1);

namespace App\Support\Calendar;

/** A calendar of all-day events in iCalendar (RFC 5545). The same event keeps its UID, so that a second import updates it. */
final class IcsCalendar
{
    /** Octets of a content line (RFC 5545 §3.1), without the line break. */
    private const LINE = 75;

    /** @var list<string> */
    private array $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Greater Reach//Roadmap//EN', 'CALSCALE:GREGORIAN'];

    public function __construct(private readonly \DateTimeImmutable $madeAt)
    {
    }

    /** @param string $identity what makes the event the same the next time */
    public function add(string $identity, \DateTimeImmutable $day, string $summary, string $description): void
    {
        array_push(
            $this->lines,
            'BEGIN:VEVENT',
            'UID:'.sha1($identity).'@greater-reach.example',
            'DTSTAMP:'.$this->madeAt->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'),
            'DTSTART;VALUE=DATE:'.$day->format('Ymd'),
            'DTEND;VALUE=DATE:'.$day->modify('+1 day')->format('Ymd'),
            'SUMMARY:'.self::escape($summary),
            'DESCRIPTION:'.self::escape($description),
            'TRANSP:TRANSPARENT',
            'END:VEVENT',
        );
    }

    public function __toString(): string
    {
        return implode('', array_map(self::fold(...), [...$this->lines, 'END:VCALENDAR']));
    }

    /** RFC 5545 §3.3.11. */
    private static function escape(string $text): string
    {
        return str_replace(["\r\n", "\n"], '\\n', addcslashes($text, '\\;,'));
    }

    /** Long lines go on after a line break and a space, never inside a character. */
    private static function fold(string $line): string
    {
        $folded = '';
        while (\strlen($line) > self::LINE) {
            $piece = mb_strcut($line, 0, self::LINE, 'UTF-8');
            $folded .= $piece."\r\n";
            $line = ' '.substr($line, \strlen($piece));
        }

        return $folded.$line."\r\n";
    }
}
