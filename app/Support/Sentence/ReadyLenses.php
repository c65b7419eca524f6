<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Models\Comparison;
use GreaterReach\Core\Winning\AuthorityPeer;
use GreaterReach\Core\Winning\ComfortDifficulty;

/** Sentences worth having from the start, put together for the domains of one comparison. */
final class ReadyLenses
{
    /** @return list<array{name: string, show: string}> */
    public static function of(Comparison $comparison, float $peerBand): array
    {
        $count = \count($comparison->domains) - 1;
        $comfort = (string) round($comparison->models()->comfort->value ?? ComfortDifficulty::ASSUMED, 1);
        $peers = self::any($comparison, $peerBand, AuthorityPeer::Comparable, '<=10');
        $weaker = self::any($comparison, $peerBand, AuthorityPeer::Weaker, '<=20');
        $losing = self::alternatives(
            array_map(static fn(int $number): string => "m{$number}=left,slipped", $count === 0 ? [] : range(1, $count)),
        );
        $lenses = [
            ['All competitors rank, we don’t', "standing=gap;competitors>={$count}"],
            ['Similar competitors on page one, we aren’t', $peers === null ? null : "own=absent;{$peers}"],
            ['Weaker sites rank, we don’t', $weaker === null ? null : "standing=gap,behind;{$weaker}"],
            ['Just short of page one, within our comfort', "own>=11;own<=20;difficulty<={$comfort}"],
            ['We slip', 'movement=slipped,left'],
            ['Competitors dropping', $losing === null ? null : "standing=gap,behind;{$losing}"],
            ['Gaps only some competitors fill', $count < 2 ? null : 'standing=gap;competitors>=1;competitors<='.($count - 1)],
            ['New gaps', 'gaps=opened'],
            ['Our pages competing', 'conflict=yes'],
            ['Competitors advertise, we don’t', 'paid=only they'],
        ];

        return array_values(
            array_map(
                static fn(array $lens): array => ['name' => $lens[0], 'show' => $lens[1].';'.Sentence::START],
                array_filter($lenses, static fn(array $lens): bool => $lens[1] !== null),
            ),
        );
    }

    private static function any(Comparison $comparison, float $band, AuthorityPeer $wanted, string $condition): ?string
    {
        $own = $comparison->domains[0]['authority'];
        $numbers = array_filter(
            array_keys($comparison->domains),
            static fn(int $number): bool => $number > 0
                && AuthorityPeer::of($comparison->domains[$number]['authority'], $own, $band) === $wanted,
        );

        return self::alternatives(array_map(static fn(int $number): string => "p{$number}{$condition}", array_values($numbers)));
    }

    /** @param list<string> $clauses */
    private static function alternatives(array $clauses): ?string
    {
        return match (\count($clauses)) {
            0 => null,
            1 => $clauses[0],
            default => '('.implode('|', $clauses).')',
        };
    }
}
