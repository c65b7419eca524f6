<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/** The areas of the application know each other in one direction only. */
final class AppFloorsTest extends TestCase
{
    public function test_no_area_knows_one_that_knows_it_by_way_of_others(): void
    {
        $known = self::areas();
        // Whoever knows nobody any more is taken away, until nobody is left or those in a circle are.
        do {
            $ground = array_keys(array_filter($known, static fn(array $others): bool => $others === []));
            $known = array_map(
                static fn(array $others): array => array_diff($others, $ground),
                array_diff_key($known, array_flip($ground)),
            );
        } while ($ground !== []);
        self::assertSame([], $known, 'These areas know each other in a circle.');
    }

    public function test_actions_know_nothing_of_requests_and_screens(): void
    {
        foreach (self::areas() as $area => $others) {
            if (str_starts_with($area, 'Actions/') || str_starts_with($area, 'Support/') || $area === 'Models') {
                self::assertNotContains('Http', $others, $area);
                self::assertNotContains('Console', $others, $area);
            }
        }
    }

    /** @return array<string, list<string>> area → areas that it knows */
    private static function areas(): array
    {
        $root = dirname(__DIR__, 2).'/app/';
        $known = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            if (! $file instanceof \SplFileInfo || $file->getExtension() !== 'php') {
                continue;
            }
            $area = self::area(explode('/', substr($file->getPathname(), \strlen($root))));
            preg_match_all('/App\\\\([A-Za-z\\\\]+)/', (string) file_get_contents($file->getPathname()), $names);
            $others = array_map(static fn(string $name): string => self::area(explode('\\', rtrim($name, '\\'))), $names[1]);
            $known[$area] = array_values(array_unique([...$known[$area] ?? [], ...array_diff($others, [$area])]));
        }

        // A name that stands for no folder is one in a sentence.
        return array_map(static fn(array $others): array => array_values(array_intersect($others, array_keys($known))), $known);
    }

    /** @param list<string> $parts of a path or of a name */
    private static function area(array $parts): string
    {
        return \in_array($parts[0], ['Actions', 'Support'], true) && \count($parts) > 2 ? $parts[0].'/'.$parts[1] : $parts[0];
    }
}
