<?php

declare(strict_types=1);

namespace Tests\Mutants;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which tests run through which line, as PCOV saw it. */
final class CoveringTests
{
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

    /**
     * A change within an expression of several lines is reached where one of its lines, or the next line that can be told apart, is.
     *
     * @return list<string> class::method, perhaps with a data set
     */
    public function of(Mutant $mutant): array
    {
        $lines = $this->tests[$mutant->file] ?? [];
        for ($line = $mutant->line; $line > $mutant->line - 12; --$line) {
            if (isset($lines[$line])) {
                return array_keys($lines[$line]);
            }
        }

        return [];
    }
}
