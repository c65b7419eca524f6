<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/**
 * How large a pattern is when its repetitions are written out, which is what a regular expression costs in PostgreSQL:
 * `(ab{2,9}){3}` is 3 × (1 + 9) = 30 characters. A repetition without an upper end counts once more than its lower one.
 */
final class PatternSize
{
    public const MOST = 300;

    /** @var list<string> single characters, escapes, sets and quantifiers */
    private array $parts;

    private int $at = 0;

    private function __construct(string $pattern)
    {
        preg_match_all('/\\\\.|\[\^?\]?(?:\[[:.=].*?[:.=]\]|[^\]])*\]|\{\d+(?:,\d*)?\}|./su', $pattern, $parts);
        $this->parts = $parts[0];
    }

    public static function of(string $pattern): int
    {
        return (new self($pattern))->alternatives();
    }

    /** Up to the end of the group or of the pattern. */
    private function alternatives(): int
    {
        $size = 0;
        while (isset($this->parts[$this->at]) && $this->parts[$this->at] !== ')') {
            $size += $this->repeated($this->piece());
        }
        ++$this->at;

        return $size;
    }

    private function piece(): int
    {
        return $this->parts[$this->at++] === '(' ? max(1, $this->alternatives()) : 1;
    }

    private function repeated(int $size): int
    {
        while (preg_match('/^\{(\d+)(?:(,)(\d*))?\}$/D', $this->parts[$this->at] ?? '', $bounds) === 1) {
            ++$this->at;
            $upper = $bounds[3] ?? '';
            $times = $upper !== '' ? (int) $upper : (int) $bounds[1] + (isset($bounds[2]) ? 1 : 0);
            $size = min(PHP_INT_MAX >> 16, $size * max(1, min($times, 10_000)));
        }

        return $size;
    }
}
