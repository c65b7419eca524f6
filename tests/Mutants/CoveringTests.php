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

    /** @param string $root of the copy in which it was seen */
    public function add(CodeCoverage $seen, string $root): void
    {
        foreach ($seen->getData()->lineCoverage() as $file => $lines) {
            foreach ($lines as $line => $tests) {
                foreach ($tests ?? [] as $test) {
                    $this->tests[substr($file, \strlen($root) + 1)][$line][$test] = true;
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
                    static fn(string $test): bool => ! isset($failing[preg_replace('/[ #].*$/s', '', $test)]),
                    ARRAY_FILTER_USE_KEY,
                );
            }
        }
    }

    /**
     * A change within an expression of several lines is reached where the line that it begins with is. What is no line that runs, such as a
     * constant, and what is worked out once and kept, is reached by whatever reaches its file.
     *
     * @return list<string> class::method, perhaps with a data set
     */
    public function of(Mutant $mutant): array
    {
        $lines = $this->tests[$mutant->file] ?? [];
        for ($line = $mutant->line; $line > $mutant->line - self::LONGEST; --$line) {
            if (isset($lines[$line])) {
                return array_keys($lines[$line]);
            }
        }

        return $this->ofFile($mutant->file);
    }

    /** @return list<string> class::method, perhaps with a data set, that run through any line of a file */
    public function ofFile(string $file): array
    {
        return array_keys(array_replace([], ...array_values($this->tests[$file] ?? [])));
    }
}
