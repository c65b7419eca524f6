<?php

declare(strict_types=1);

namespace Tests\Core;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/**
 * Code that can be read at a glance: no line over 140 characters, no function over 40 lines. A function that is one expression, a table or
 * the making of one value, is read line by line and not counted; nor are migrations, which stay as they were run. ESLint counts the front
 * end's functions.
 */
final class SourceShapeTest extends TestCase
{
    private const WIDEST = 140;
    private const LONGEST = 40;
    private const ROOMS = ['app', 'benchmark', 'bin', 'bootstrap', 'core', 'database', 'resources/js', 'routes', 'stand-in', 'tests'];
    /** Made by a tool from what is checked elsewhere. */
    private const MADE = '~^(resources/js/api/schema\.ts|bootstrap/cache/.*)$~';

    public function test_no_line_is_wider_than_can_be_read(): void
    {
        $wide = [];
        foreach ($this->sources('/\.(php|tsx?)$|^bin\/[\w-]+(\.sh)?$/') as $path) {
            foreach (file(self::root().$path, FILE_IGNORE_NEW_LINES) ?: [] as $index => $line) {
                if (mb_strlen($line) > self::WIDEST) {
                    $wide[] = $path.':'.($index + 1);
                }
            }
        }
        self::assertSame([], $wide);
    }

    public function test_versions_of_what_comes_from_debian_stand_in_one_place(): void
    {
        $found = [];
        foreach ($this->sources('/\.php$|^bin\/[\w-]+(\.sh)?$/') as $path) {
            if (preg_match('~php8\.\d|/php/8|postgresql[-@/]\d|bookworm~', (string) file_get_contents(self::root().$path)) === 1) {
                $found[] = $path;
            }
        }
        self::assertSame(['bin/versions.sh', 'tests/Core/SourceShapeTest.php'], $found);
    }

    public function test_no_function_is_longer_than_can_be_seen(): void
    {
        $parser = (new ParserFactory())->createForNewestSupportedVersion();
        $long = [];
        foreach ($this->sources('~^(?!tests|database/migrations).*\.php$~') as $path) {
            $nodes = $parser->parse((string) file_get_contents(self::root().$path)) ?? [];
            foreach ((new NodeFinder())->findInstanceOf($nodes, Node\FunctionLike::class) as $function) {
                if (self::linesOf($function) > self::LONGEST) {
                    $long[] = $path.':'.$function->getStartLine();
                }
            }
        }
        self::assertSame([], $long);
    }

    /** Lines of the body, without its braces. */
    private static function linesOf(Node\FunctionLike $function): int
    {
        $body = $function->getStmts() ?? [];

        return \count($body) < 2 ? 0 : $body[array_key_last($body)]->getEndLine() - $body[array_key_first($body)]->getStartLine() + 1;
    }

    /** @return \Generator<string> paths within the project */
    private function sources(string $pattern): \Generator
    {
        $found = 0;
        foreach (self::ROOMS as $room) {
            $files = new \RecursiveDirectoryIterator(self::root().$room, \FilesystemIterator::SKIP_DOTS);
            foreach (new \RecursiveIteratorIterator($files) as $file) {
                $path = substr((string) $file, \strlen(self::root()));
                if (preg_match($pattern, $path) === 1 && ! str_ends_with($path, '.blade.php') && preg_match(self::MADE, $path) !== 1) {
                    $found++;
                    yield $path;
                }
            }
        }
        self::assertGreaterThan(300, $found);
    }

    private static function root(): string
    {
        return \dirname(__DIR__, 2).'/';
    }
}
