<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the documents name is there: links between them, classes that rules stand in, commands. */
final class DocumentsTest extends TestCase
{
    /** @return iterable<string, array{string}> path of a document below the root */
    public static function documents(): iterable
    {
        $root = \dirname(__DIR__, 2);
        foreach (['/*.md', '/docs/*.md', '/docs/decisions/*.md'] as $pattern) {
            foreach (glob($root.$pattern) ?: [] as $path) {
                yield substr($path, \strlen($root) + 1) => [$path];
            }
        }
    }

    #[DataProvider('documents')]
    public function test_every_link_leads_somewhere(string $path): void
    {
        preg_match_all('/\]\((?!https?:|#)([^)#]+)(?:#[^)]*)?\)/', (string) file_get_contents($path), $links);
        foreach ($links[1] as $link) {
            self::assertFileExists(\dirname($path).'/'.$link);
        }
        self::assertNotSame('', trim((string) file_get_contents($path)));
    }

    public function test_every_command_that_is_named_is_there(): void
    {
        $root = \dirname(__DIR__, 2);
        foreach (self::documents() as $document => [$path]) {
            preg_match_all('~(?<![\w/.-])bin/[a-z-]+(?:\.(?:sh|sql|php))?~', (string) file_get_contents($path), $commands);
            foreach (array_unique($commands[0]) as $command) {
                self::assertFileExists("{$root}/{$command}", $document);
            }
        }
    }

    public function test_every_rule_of_the_glossary_stands_where_it_says(): void
    {
        $root = \dirname(__DIR__, 2);
        preg_match_all('/^\|[^|]+\|[^|]+\|([^|]+)\|$/m', (string) file_get_contents("{$root}/docs/glossary.md"), $places);
        preg_match_all('~`([A-Za-z]+/[A-Za-z/]+)(?:/\*)?`~', implode("\n", $places[1]), $paths);
        self::assertGreaterThan(50, \count($paths[1]));
        foreach ($paths[1] as $path) {
            $places = ["core/{$path}.php", "core/{$path}", "{$path}.php", $path];
            self::assertNotSame([], array_filter($places, static fn(string $place): bool => file_exists("{$root}/{$place}")), $path);
        }
    }

    public function test_every_decision_is_in_the_list_of_decisions(): void
    {
        $folder = \dirname(__DIR__, 2).'/docs/decisions/';
        $list = (string) file_get_contents($folder.'README.md');
        foreach (glob($folder.'0*.md') ?: [] as $decision) {
            self::assertStringContainsString('('.basename($decision).')', $list);
        }
    }
}
