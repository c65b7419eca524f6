<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Mark;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;

/**
 * What the list of opportunities leaves out of what the rest of its sentence lets through, and why: each keyword counts once, with the
 * first reason that holds.
 */
final class HiddenCountsQuery
{
    /** Clauses that hide, by the name of their reason; the marks come first, noise comes last. */
    private const HIDING = [
        'mark' => Mark::SetAside->value,
        'roadmap' => 'on the roadmap',
        'codes' => 'codes',
        'navigational' => 'navigational',
        'negatives' => 'unwanted words',
    ];
    private const BRANDS = 'brands';

    /**
     * @return array{of: int, hidden: list<array{why: string, keywords: int}>} keywords that the rest of the sentence lets through, and
     *     those of them that are left out, most first
     */
    public function execute(Comparison $comparison, Sentence $sentence, FitGate $gate): array
    {
        $rows = new ComparisonRows($comparison);
        $rest = array_reduce(
            [self::BRANDS, ...array_keys(self::HIDING)],
            static fn(Sentence $left, string $name): Sentence => $left->without($name),
            $sentence,
        );
        $query = $rows->query($rest)->select('own_position')->selectRaw('brands <> 0 AND brands & 1 = 0 AS is_brand, is_listed')
            ->selectRaw(ListedRows::condition($gate).' AS fits_gate');
        foreach (array_keys(self::HIDING) as $name) {
            $fits = $rows->fits($sentence->only($name), 'fits_'.$name);
            $query->selectRaw($fits->sql, $fits->bindings);
        }
        $counts = $comparison->getConnection()->query()->fromSub($query, 'rows')->selectRaw(self::reason().' AS why, count(*) AS keywords')
            ->groupByRaw('1')->pluck('keywords', 'why')->map(static fn(mixed $count): int => Figures::int($count) ?? 0);
        $hidden = $counts->except('shown')->sortKeys()->sortDesc();

        return [
            'of' => array_sum($counts->all()),
            'hidden' => array_map(
                static fn(string $why, int $keywords): array => ['why' => $why, 'keywords' => $keywords],
                array_map(strval(...), $hidden->keys()->all()),
                array_values($hidden->all()),
            ),
        ];
    }

    private static function reason(): string
    {
        $noise = '';
        foreach (\array_slice(self::HIDING, 2) as $name => $why) {
            $noise .= " WHEN NOT fits_{$name} THEN '{$why}'";
        }

        return "CASE WHEN NOT fits_mark THEN '".self::HIDING['mark']."' WHEN NOT fits_roadmap THEN '".self::HIDING['roadmap']."' "
            ."WHEN is_brand THEN 'brands' "
            ."WHEN NOT is_listed AND own_position = 1 THEN 'already first' WHEN NOT is_listed THEN 'unranked' "
            ."WHEN NOT fits_gate THEN 'below the minimum fit'{$noise} ELSE 'shown' END";
    }
}
