<?php

declare(strict_types=1);

namespace Tests\Core\Winning;

use GreaterReach\Core\Winning\WinObservations;
use PHPUnit\Framework\TestCase;

final class WinObservationsTest extends TestCase
{
    public function test_keywords_are_counted_by_domain_and_difficulty(): void
    {
        $observations = new WinObservations([0, 2]);
        $observations->add(30.0, [1, 1, 11]);
        $observations->add(30.0, [null, 3, 10]);
        $observations->add(12.5, [10, null, null]);
        $observations->add(null, [1, 1, 1]);
        self::assertSame([
            ['domain' => 0, 'difficulty' => 12.5, 'trials' => 1, 'successes' => 1],
            ['domain' => 0, 'difficulty' => 30.0, 'trials' => 2, 'successes' => 1],
            ['domain' => 2, 'difficulty' => 12.5, 'trials' => 1, 'successes' => 0],
            ['domain' => 2, 'difficulty' => 30.0, 'trials' => 2, 'successes' => 1],
        ], $observations->groups());
    }

    /** Against one row per domain and keyword, counted one by one. */
    public function test_the_groups_are_the_single_rows_added_up(): void
    {
        mt_srand(17);
        $observations = new WinObservations([0, 1, 3]);
        $rows = [];
        for ($keyword = 0; $keyword < 400; ++$keyword) {
            $difficulty = mt_rand(0, 9) === 0 ? null : (float) (mt_rand(0, 40) / 3);
            $positions = array_map(static fn(): ?int => mt_rand(0, 2) === 0 ? null : mt_rand(1, 30), range(0, 3));
            $observations->add($difficulty, $positions);
            foreach ($difficulty === null ? [] : [0, 1, 3] as $domain) {
                $rows[] = [$domain, $difficulty, $positions[$domain] !== null && $positions[$domain] <= 10];
            }
        }
        $groups = $observations->groups();
        self::assertSame(\count($rows), array_sum(array_column($groups, 'trials')));
        foreach ($groups as $group) {
            $own = array_filter($rows, static fn(array $row): bool => $row[0] === $group['domain'] && $row[1] === $group['difficulty']);
            self::assertSame([\count($own), \count(array_filter(array_column($own, 2)))], [$group['trials'], $group['successes']]);
        }
    }

    public function test_the_order_in_which_keywords_come_changes_nothing(): void
    {
        $rows = [[5.0, [3, null]], [70.25, [null, 9]], [5.0, [40, 2]], [100 / 3, [1, 1]]];
        $one = new WinObservations([0, 1]);
        $other = new WinObservations([0, 1]);
        foreach ($rows as $number => $row) {
            $one->add(...$row);
            $other->add(...$rows[\count($rows) - 1 - $number]);
        }
        self::assertSame($one->groups(), $other->groups());
    }

    public function test_nothing_known_makes_no_groups(): void
    {
        $observations = new WinObservations([0]);
        $observations->add(null, [1]);
        self::assertSame([], $observations->groups());
    }
}
