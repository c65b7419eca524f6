<?php

declare(strict_types=1);

namespace Tests\Core\Priority;

use GreaterReach\Core\Priority\Leaders;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Those who stay are those of the definition, each looked at beside each: few of them, and more than are looked through at once. */
final class LeadersTest extends TestCase
{
    private const CRITERIA = 3;

    #[TestWith([40, 1, 2])]
    #[TestWith([200, 4, 3])]
    #[TestWith([700, 5, 40])]
    #[TestWith([1600, 3, 1000])]
    #[TestWith([1600, 700, 5])]
    public function test_who_stays_has_fewer_before_it_than_there_are_places(int $items, int $places, int $steps): void
    {
        mt_srand(17 * $items + $places);
        $all = [];
        for ($number = 0; $number < $items; ++$number) {
            $all[$number] = array_map(
                static fn(): ?float => mt_rand(0, 60) === 0 ? null : mt_rand(0, $steps) * 5 / $steps,
                range(1, self::CRITERIA),
            );
        }
        $leaders = new Leaders($places);
        // In no order of numbers, as nobody promises one.
        $numbers = array_keys($all);
        shuffle($numbers);
        foreach ($numbers as $number) {
            $leaders->add($number, $all[$number]);
        }
        $staying = [];
        foreach ($leaders->groups() as $group) {
            foreach ($group['items'] as $number => $scores) {
                self::assertSame($scores, array_values(array_filter($all[$number], static fn(?float $one): bool => $one !== null)));
                self::assertSame($group['known'], array_keys(array_filter($all[$number], static fn(?float $one): bool => $one !== null)));
                $staying[] = $number;
            }
        }
        sort($staying);
        self::assertSame(self::byDefinition($all, $places), $staying);
    }

    /**
     * @param array<int, list<?float>> $all
     *
     * @return list<int>
     */
    private static function byDefinition(array $all, int $places): array
    {
        $groups = [];
        foreach ($all as $number => $scores) {
            $known = array_filter($scores, static fn(?float $score): bool => $score !== null);
            $groups[implode(' ', array_keys($known))][$number] = array_values($known);
        }
        $staying = [];
        foreach ($groups as $group) {
            foreach ($group as $number => $scores) {
                $before = 0;
                foreach ($group as $other => $theirs) {
                    $before += $other !== $number && self::isBefore($theirs, $scores, $other < $number) ? 1 : 0;
                }
                if ($before < $places) {
                    $staying[] = $number;
                }
            }
        }
        sort($staying);

        return $staying;
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function isBefore(array $one, array $other, bool $standsFirst): bool
    {
        $gaps = array_map(static fn(float $a, float $b): float => $a - $b, $one, $other);

        return $gaps === [] ? $standsFirst : min($gaps) >= 0.0 && (max($gaps) > 0.0 || $standsFirst);
    }
}
