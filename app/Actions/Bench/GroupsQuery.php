<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Clause;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\TacticLabel;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * The opportunities of a sentence gathered by one of their traits, with counts, sums and means.
 *
 * @phpstan-type GroupRow object{name: ?string, keywords: int, pages: int, volume: ?int, visits_now: ?string, gain: ?string,
 *     expected_gain: ?string, difficulty: ?string, win_chance: ?string, links_to_earn: ?int}
 */
final class GroupsQuery
{
    private const SHOWN = 500;
    private const BY = [
        'topic' => 'topic',
        'intent' => 'intent',
        'stage' => 'intent',
        'tactic' => 'tactic',
        'horizon' => 'horizon',
        'page' => 'own_url',
    ];

    /**
     * @return list<array{name: ?string, keywords: int, pages: int, volume: ?int, visits_now: ?float, gain: ?float, expected_gain: ?float,
     *     difficulty: ?float, win_chance: ?float, links_to_earn: ?int, clause: ?string}> volume, visits, gains and links as sums,
     *     difficulty and win chance as means over what is known; most expected gain first; the clause shows a group's rows, null where a
     *     sentence cannot say it
     *
     * @throws UserError when there is no such trait
     */
    public function execute(Comparison $comparison, Sentence $sentence, FitGate $gate, string $by): array
    {
        $name = self::nameSql($by);
        /** @var Collection<int, GroupRow> $groups */
        $groups = ListedRows::of($comparison, $sentence, $gate)
            ->groupByRaw('1')
            ->selectRaw(
                "{$name} AS name, count(*) AS keywords, count(DISTINCT topic) AS pages, sum(volume)::bigint AS volume, "
                    ."sum(visits_now) AS visits_now, sum(gain) AS "
                    ."gain, sum(expected_gain) AS expected_gain, avg(difficulty) AS difficulty, avg(win_chance) AS win_chance, "
                        ."sum(links_to_earn)::bigint AS links_to_earn",
            )
            ->orderByRaw('7 DESC NULLS LAST, 2 DESC, 1')
            ->limit(self::SHOWN)
            ->get();

        return array_values(
            $groups
                ->map(
                    static fn(object $group): array => [
                        'name' => $group->name,
                        'keywords' => $group->keywords,
                        'pages' => $group->pages,
                        'volume' => $group->volume,
                        'visits_now' => Figures::float($group->visits_now),
                        'gain' => Figures::float($group->gain),
                        'expected_gain' => Figures::float($group->expected_gain),
                        'difficulty' => Figures::float($group->difficulty),
                        'win_chance' => Figures::float($group->win_chance),
                        'links_to_earn' => $group->links_to_earn,
                        'clause' => self::clause($by, $group->name),
                    ],
                )
                ->all(),
        );
    }

    /**
     * @param list<?string> $names null is the group of those without the trait
     *
     * @return Builder the rows of some groups
     *
     * @throws UserError when there is no such trait
     */
    public static function inside(Comparison $comparison, Sentence $sentence, FitGate $gate, string $by, array $names): Builder
    {
        $name = self::nameSql($by);
        $known = array_filter($names, is_string(...));

        return ListedRows::of($comparison, $sentence, $gate)->where(
            static fn(Builder $rows): Builder => $rows
                ->whereIn(DB::raw($name), $known)
                ->when(\count($known) < \count($names), static fn(Builder $rows): Builder => $rows->orWhereRaw("{$name} IS NULL")),
        );
    }

    private static function nameSql(string $by): string
    {
        $column = self::BY[$by] ?? throw UserError::because('by', sprintf('Group by one of %s.', implode(', ', array_keys(self::BY))));

        return $by === 'stage' ? self::stageSql() : $column;
    }

    private static function clause(string $by, ?string $name): ?string
    {
        return match (true) {
            $name === null => ['page' => 'own=absent', 'stage' => 'stage=unset'][$by] ?? null,
            $by === 'tactic' => 'tactic='.TacticLabel::parse($name)->tactic->value,
            default => Clause::equals($by, $name),
        };
    }

    /** What a person said, or else the stage of the intent as the core has it. */
    private static function stageSql(): string
    {
        $cases = array_map(
            static fn(Intent $intent): string => sprintf(
                "WHEN '%s' THEN %s",
                $intent->value,
                $intent->stage() === null ? 'NULL' : DB::escape($intent->stage()),
            ),
            Intent::cases(),
        );

        return 'coalesce((SELECT d.stage FROM decisions d WHERE d.study_id = comparison_rows.study_id AND d.keyword = '
            .'comparison_rows.keyword), CASE intent '.implode(' ', $cases).' END)';
    }
}
