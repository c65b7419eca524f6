<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Reads every token of core/: no framework, no clock, no randomness, no input or output. */
final class CoreBordersTest extends TestCase
{
    /** Draws in the core come from a seeded engine alone; see the denied functions for the rest. */
    private const ALLOWED_NAMESPACES = [
        'GreaterReach\\Core\\',
        'Random\\Randomizer',
        'Random\\Engine\\Mt19937',
        'Random\\Engine\\Xoshiro256StarStar',
    ];
    private const DENIED_FUNCTIONS = [
        'env',
        'now',
        'app',
        'config',
        'cache',
        'logger',
        'resolve',
        'date',
        'time',
        'microtime',
        'hrtime',
        'strtotime',
        'mt_rand',
        'rand',
        'random_int',
        'random_bytes',
        'shuffle',
        'array_rand',
        'fopen',
        'file',
        'file_get_contents',
        'file_put_contents',
        'readfile',
        'getenv',
        'ini_set',
        'ini_get',
        'exec',
        'system',
        'passthru',
        'shell_exec',
        'proc_open',
        'header',
        'printf',
        'print_r',
        'var_dump',
        'error_log',
        'sleep',
        'usleep',
        'setlocale',
    ];
    private const DENIED_CLASSES = ['DateTime', 'DateTimeImmutable', 'PDO', 'SplFileObject'];

    /** The topics from the ground up: each knows only those before it. */
    private const FLOORS = [
        'Exception',
        'Statistics',
        'Results',
        'Keyword',
        'Site',
        'Intake',
        'Terms',
        'Clicks',
        'Comparison',
        'Pages',
        'Metrics',
        'Meaning',
        'Winning',
        'Priority',
        'Plan',
        'Explanation',
        'Findings',
        'Rulebook',
    ];

    public function test_every_topic_has_its_floor(): void
    {
        $topics = array_map(basename(...), glob(dirname(__DIR__, 2).'/core/*', GLOB_ONLYDIR) ?: []);
        self::assertEqualsCanonicalizing(self::FLOORS, $topics);
    }

    #[DataProvider('files')]
    public function test_a_topic_knows_only_those_below_it(string $path): void
    {
        $floors = array_flip(self::FLOORS);
        $topic = explode('/', substr($path, \strlen(dirname(__DIR__, 2).'/core/')))[0];
        preg_match_all('/GreaterReach\\\\Core\\\\([A-Za-z]+)\\\\/', (string) file_get_contents($path), $known);
        self::assertSame(
            [],
            array_filter(array_unique($known[1]), static fn(string $other): bool => $floors[$other] > $floors[$topic]),
            "{$topic} knows what lies above it.",
        );
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $core = dirname(__DIR__, 2).'/core';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($core, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                yield substr($file->getPathname(), strlen($core) + 1) => [$file->getPathname()];
            }
        }
    }

    #[DataProvider('files')]
    public function test_a_file_of_the_core_stays_inside_its_borders(string $path): void
    {
        $source = (string) file_get_contents($path);
        self::assertStringContainsString('declare(strict_types=1);', $source);
        $tokens = array_values(array_filter(\PhpToken::tokenize($source), static fn(\PhpToken $token): bool => !$token->isIgnorable()));
        foreach ($tokens as $place => $token) {
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) && str_contains(trim($token->text, '\\'), '\\')) {
                self::assertTrue($this->isAllowed(ltrim($token->text, '\\')), $token->text.' is outside the core.');
            }
            if ($token->is([T_STRING, T_NAME_FULLY_QUALIFIED])) {
                self::assertFalse(
                    $this->isDenied($tokens, $place),
                    ltrim($token->text, '\\').' reaches out of the core on line '.$token->line.'.',
                );
            }
            self::assertFalse(
                $token->is([T_ECHO, T_PRINT, T_EXIT, T_INCLUDE, T_REQUIRE, T_EVAL, T_GLOBAL]),
                $token->text.' does input or output on line '.$token->line.'.',
            );
        }
    }

    private function isAllowed(string $name): bool
    {
        foreach (self::ALLOWED_NAMESPACES as $namespace) {
            if ($name === $namespace || str_starts_with($name.'\\', $namespace)) {
                return true;
            }
        }

        return false;
    }

    /** @param list<\PhpToken> $tokens */
    private function isDenied(array $tokens, int $place): bool
    {
        $name = ltrim($tokens[$place]->text, '\\');
        $before = $tokens[$place - 1] ?? null;
        $isMember =
            $before !== null && $before->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_CONST, T_CASE]);
        $isCall = ($tokens[$place + 1]->text ?? '') === '(';

        return !$isMember &&
            (($isCall && in_array(strtolower($name), self::DENIED_FUNCTIONS, true)) || in_array($name, self::DENIED_CLASSES, true));
    }
}
