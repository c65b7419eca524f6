<?php

declare(strict_types=1);

namespace Tests\Mutants;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Makes one change at a time in a copy, and looks whether one of the tests that run through it fails. */
final class Hunt
{
    private const HOUR = 3600;
    private const MOST_TESTS = 250;
    private const TIMED_OUT = 124;
    private const KILLED = 137;

    /** Changes that no test noticed. */
    private const UNNOTICED = 0;

    /** @var list<string> */
    public array $survivors = [];

    /** @var list<string> tests that fail in a copy where nothing was changed */
    public array $failing = [];

    public int $noticed = 0;

    /** How the last change that was noticed was noticed. */
    public string $last = '';

    public int $endless = 0;

    private CoveringTests $covering;

    /**
     * @param list<Copy>   $copies
     * @param list<string> $tests   files of tests that count, from the root on
     * @param int          $seconds that the tests of one change may take
     * @param bool         $isWide  whether all tests count that run through the file, and not those alone that run through the line
     */
    public function __construct(
        private readonly array $copies,
        private readonly array $tests,
        private readonly int $seconds,
        private readonly bool $isWide,
    ) {
        $this->covering = new CoveringTests();
    }

    /**
     * Runs all tests once, to see which lines each of them runs through. One that fails where nothing was changed can tell nothing, and
     * is left out.
     *
     * @throws \RuntimeException when they could not be run
     */
    public function look(string $folder): void
    {
        foreach ($this->copies as $number => $copy) {
            $mine = array_filter($this->tests, fn(int $place): bool => $place % \count($this->copies) === $number, ARRAY_FILTER_USE_KEY);
            $pcov = \extension_loaded('pcov') ? [] : ['-d', 'extension=pcov'];
            $quiet = ['vendor/bin/phpunit', '--no-progress', '--do-not-cache-result', '--coverage-php', "{$copy->folder}/seen.php"];
            if ($mine !== []) {
                $copy->start([...$pcov, '-d', "pcov.directory={$copy->folder}/{$folder}", ...$quiet, ...array_values($mine)], self::HOUR);
            }
        }
        foreach (array_filter($this->copies, static fn(Copy $copy): bool => ! $copy->isFree()) as $copy) {
            $this->covering->add($this->seen($copy), $copy->folder);
        }
        $this->covering->leaveOut($this->failing);
    }

    /** What was seen in a copy, once its tests are over. */
    private function seen(Copy $copy): CodeCoverage
    {
        while (($ended = $copy->ended()) === null) {
            usleep(200_000);
        }
        preg_match_all('/^\d+\) (Tests\\\\\S+::\S+)/m', $copy->log(), $failed);
        if ($ended[1] !== 0 && $failed[1] === []) {
            throw new \RuntimeException("The tests could not be run:\n".substr($copy->log(), -2000));
        }
        array_push($this->failing, ...$failed[1]);
        $this->last .= $failed[1] === [] ? '' : substr($copy->log(), 0, 20_000);

        /** @var CodeCoverage */
        return require "{$copy->folder}/seen.php";
    }

    /**
     * @param list<Mutant>              $mutants
     * @param \Closure(int, int): void  $tell    how many are done, and how many of them went unnoticed
     */
    public function hunt(array $mutants, \Closure $tell): void
    {
        while ($mutants !== [] || ! $this->isIdle()) {
            foreach ($this->copies as $copy) {
                if ($copy->isFree() && $mutants !== []) {
                    $this->begin($copy, array_shift($mutants));
                }
                $ended = $copy->ended();
                if ($ended !== null && $ended[0] !== null) {
                    $this->count($ended[0], $ended[1], $copy->log());
                    $tell($this->noticed + \count($this->survivors), \count($this->survivors));
                }
            }
            usleep(20_000);
        }
    }

    private function begin(Copy $copy, Mutant $mutant): void
    {
        $tests = $this->isWide
            ? $this->covering->ofFile($mutant->file)
            // A change that only one of the others would notice counts as not noticed.
            : \array_slice($this->covering->of($mutant), 0, self::MOST_TESTS);
        $methods = $files = [];
        foreach ($tests as $test) {
            [$class, $method] = explode('::', $test);
            $files['tests/'.strtr(substr($class, \strlen('Tests\\')), '\\', '/').'.php'] = true;
            $methods[preg_quote($method, '/')] = true;
        }
        if ($files === []) {
            $this->survivors[] = $mutant->words().'  (no test runs through it)';

            return;
        }
        $filter = $this->isWide ? [] : ['--filter', '/::('.implode('|', array_keys($methods)).')( |$)/'];
        $quiet = ['vendor/bin/phpunit', '--no-progress', '--stop-on-defect', '--do-not-cache-result'];
        $copy->start([...$quiet, ...$filter, ...array_keys($files)], $this->seconds, $mutant);
    }

    private function count(Mutant $mutant, int $exit, string $log): void
    {
        if ($exit === self::UNNOTICED) {
            $this->survivors[] = $mutant->words();

            return;
        }
        ++$this->noticed;
        $this->last = $mutant->words()."\n".substr($log, 0, 3000);
        $this->endless += \in_array($exit, [self::TIMED_OUT, self::KILLED], true) ? 1 : 0;
    }

    private function isIdle(): bool
    {
        return array_filter($this->copies, static fn(Copy $copy): bool => ! $copy->isFree()) === [];
    }
}
