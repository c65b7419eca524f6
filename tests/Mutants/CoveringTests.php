<?php

declare(strict_types=1);

namespace Tests\Mutants;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which tests run through which line, as PCOV saw it. */
final class CoveringTests
{
    /** Lines of the longest expression, about. */
    private const LONGEST = 12;

    /** @var array<string, array<int, array<string, true>>> file → line → tests */
    private array $tests = [];

    /** @var array<string, array<string, int>> test → file → lines of it that the test runs through */
    private array $lines = [];

    /** @param string $root of the copy in which it was seen */
    public function add(CodeCoverage $seen, string $root): void
    {
        foreach ($seen->getData()->lineCoverage() as $file => $lines) {
            foreach ($lines as $line => $tests) {
                foreach (array_unique(array_map(self::method(...), $tests ?? [])) as $test) {
                    $name = substr($file, \strlen($root) + 1);
                    $this->tests[$name][$line][$test] = true;
                    $this->lines[$test][$name] = ($this->lines[$test][$name] ?? 0) + 1;
                }
            }
        }
    }

    /** @param list<string> $failing class::method */
    public function leaveOut(array $failing): void
    {
        $failing = array_fill_keys($failing, true);
        foreach ($this->tests as $file => $lines) {
            foreach ($lines as $line => $tests) {
                $this->tests[$file][$line] = array_filter(
                    $tests,
                    static fn(string $test): bool => ! isset($failing[$test]),
                    ARRAY_FILTER_USE_KEY,
                );
            }
        }
    }

    /**
     * A change within an expression of several lines is reached where the line that it begins with is. What is no line that runs, such as a
     * constant, and what is worked out once and kept, is reached by whatever reaches its file.
     *
     * @return list<string> class::method, those first that have most to do with its file
     */
    public function of(Mutant $mutant): array
    {
        $lines = $this->tests[$mutant->file] ?? [];
        for ($line = $mutant->line; $line > $mutant->line - self::LONGEST; --$line) {
            if (isset($lines[$line])) {
                return $this->closest(array_keys($lines[$line]), $mutant->file);
            }
        }

        return $this->ofFile($mutant->file);
    }

    /** @return list<string> class::method, that run through any line of a file, those first that have most to do with it */
    public function ofFile(string $file): array
    {
        return $this->closest(array_keys(array_replace([], ...array_values($this->tests[$file] ?? []))), $file);
    }

    /**
     * Who runs through little else is about it: what all requests pass says little of one file.
     *
     * @param list<string> $tests
     *
     * @return list<string>
     */
    private function closest(array $tests, string $file): array
    {
        $shares = [];
        foreach ($tests as $test) {
            $shares[$test] = ($this->lines[$test][$file] ?? 0) / max(1, array_sum($this->lines[$test]));
        }
        arsort($shares);

        return array_keys($shares);
    }

    /** Of a test with a data set the method alone. */
    private static function method(string $test): string
    {
        return preg_replace('/[ #].*$/s', '', $test) ?? $test;
    }
}
