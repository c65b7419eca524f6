<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/**
 * A table in delimited text (RFC 4180 and its usual relatives), read as a stream of records with the physical line on
 * which each begins. Separator and line end are told from the content.
 */
final class TextTable implements TableFile
{
    private const SEPARATORS = [',', ';', "\t", '|'];
    private const SAMPLE = 65536;

    /** Longer cells are a quote that was never closed. */
    private const LINES_PER_RECORD = 10_000;

    private const SEPARATOR_NAMES = [',' => 'commas', ';' => 'semicolons', "\t" => 'tabs', '|' => 'bars'];
    private const BOM = "\u{FEFF}";

    /** @var list<string> */
    private readonly array $headers;

    private int $line = 0;

    /**
     * @param resource         $file
     * @param non-empty-string $separator
     * @param non-empty-string $newline
     */
    private function __construct(
        private $file,
        private readonly string $separator,
        private readonly string $newline,
        private readonly int $maxRecord,
    ) {
        $this->headers = $this->header();
        if (\count($this->headers) > self::MOST_COLUMNS) {
            throw FileProblem::tooManyColumns($this->line, self::MOST_COLUMNS);
        }
    }

    /**
     * @param int $maxRecord bytes that one record may have
     *
     * @throws FileProblem
     */
    public static function open(string $path, int $maxRecord): self
    {
        $file = TextEncoding::open($path);
        $sample = (string) fread($file, self::SAMPLE);
        if (trim($sample, " \t\r\n".self::BOM) === '') {
            throw FileProblem::empty();
        }
        $newline = str_contains($sample, "\n") || ! str_contains($sample, "\r") ? "\n" : "\r";
        $firstLine = strtok(ltrim($sample, "\r\n".self::BOM), "\r\n");

        return new self($file, self::separatorOf((string) $firstLine), $newline, $maxRecord);
    }

    public function headers(): array
    {
        return $this->headers;
    }

    public function format(): string
    {
        return 'CSV with '.self::SEPARATOR_NAMES[$this->separator];
    }

    public function rows(): \Generator
    {
        $this->header();
        $found = false;
        while (($record = $this->record()) !== null) {
            $found = true;
            yield $record[0] => $record[1];
        }
        if (! $found) {
            throw FileProblem::headerOnly();
        }
    }

    /** @return list<string> */
    private function header(): array
    {
        rewind($this->file);
        $this->line = 0;
        if (fread($this->file, \strlen(self::BOM)) !== self::BOM) {
            rewind($this->file);
        }

        return $this->record()[1] ?? throw FileProblem::empty();
    }

    /** @return ?array{int, list<string>} line on which the record begins, its cells */
    private function record(): ?array
    {
        do {
            $text = $this->physicalLine();
            if ($text === null) {
                return null;
            }
        } while (trim($text, " \t") === '' && ! str_contains($text, $this->separator));
        $start = $this->line;
        if (! str_contains($text, '"')) {
            return [$start, explode($this->separator, $text)];
        }
        $lines = [$text];
        $bytes = \strlen($text);
        $isOpen = $this->isOpenAfter($text, false);
        while ($isOpen) {
            $more = $this->physicalLine();
            if ($more === null) {
                break;
            }
            $lines[] = $more;
            $bytes += \strlen($more) + 1;
            if (\count($lines) > self::LINES_PER_RECORD) {
                throw FileProblem::unclosedQuote($start);
            }
            if ($bytes > $this->maxRecord) {
                throw FileProblem::recordTooLong($start, $this->maxRecord);
            }
            $isOpen = $this->isOpenAfter($more, true);
        }

        return [$start, array_map(strval(...), str_getcsv(implode("\n", $lines), $this->separator, '"', ''))];
    }

    private function physicalLine(): ?string
    {
        $text = stream_get_line($this->file, $this->maxRecord + 1, $this->newline);
        if ($text === false) {
            return null;
        }
        ++$this->line;
        if (\strlen($text) > $this->maxRecord) {
            throw FileProblem::recordTooLong($this->line, $this->maxRecord);
        }

        return str_ends_with($text, "\r") ? substr($text, 0, -1) : $text;
    }

    /**
     * Whether a quoted cell is still open at the end of a line. Looks at each line once, so that a record costs no more than its bytes.
     * A quote opens a cell only as its first character; elsewhere it is a character like any other.
     */
    private function isOpenAfter(string $line, bool $wasOpen): bool
    {
        $separator = preg_quote($this->separator, '/');
        $closing = '(?:[^"]++|"")*+"[^'.$separator.']*+';
        $cell = '(?:"'.$closing.'|(?!")[^'.$separator.']*+)';

        return preg_match('/^'.($wasOpen ? $closing : $cell).'(?:'.$separator.$cell.')*+$/sD', $line) !== 1;
    }

    /** @return non-empty-string */
    private static function separatorOf(string $header): string
    {
        $bare = (string) preg_replace('/"[^"]*"/', '', $header);
        $best = self::SEPARATORS[0];
        foreach (self::SEPARATORS as $separator) {
            if (substr_count($bare, $separator) > substr_count($bare, $best)) {
                $best = $separator;
            }
        }

        return $best;
    }
}
