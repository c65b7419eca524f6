<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\ListedRows;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use Illuminate\Support\Collection;

/**
 * Where the opportunities of a sentence lie between difficulty and expected gain, as keywords or as topics.
 *
 * @phpstan-type MapRow object{name: string, keywords: int, difficulty: string, expected_gain: string, volume: ?int,
 *     win_chance: ?string, links_to_earn: ?int, priority: ?string, own_position: ?int}
 * @phpstan-type MapPoint array{name: string, keywords: int, difficulty: float, expected_gain: float, volume: int, win_chance: float,
 *     links_to_earn: ?int, priority: ?float, own_position: ?int}
 */
final class MapQuery
{
    private const MOST = 800;
    private const CONTOURS = [.5, .25, .1, .05, .02];

    /**
     * @return array{points: list<MapPoint>, left_out: int, comfort: ?float,
     *     contours: list<array{chance: float, difficulty: float}>} most expected gain first; contours for a keyword where we are absent
     */
    public function execute(Comparison $comparison, Sentence $sentence, FitGate $gate, bool $byTopic, string $priority, int $target): array
    {
        $rows = ($byTopic ? (new RankedTopics($comparison, $sentence, $gate))->all() : ListedRows::of($comparison, $sentence, $gate))
            ->whereNotNull('difficulty')
            ->whereNotNull('expected_gain');
        $names = $byTopic ? 'topic AS name, keywords, own_position' : 'keyword AS name, 1 AS keywords, positions[1] AS own_position';
        $points = $rows->clone()->selectRaw(
            "{$names}, difficulty, expected_gain, volume, win_chance, links_to_earn, {$priority} AS priority",
        );
        /** @var Collection<int, MapRow> $shown */
        $shown = $points->orderByRaw('expected_gain DESC, name')->limit(self::MOST)->get();

        return [
            'points' => array_values($shown->map(self::point(...))->all()),
            'left_out' => $rows->count() - \count($shown),
            'comfort' => $comparison->models()?->comfort->value,
            'contours' => self::contours($comparison, $target),
        ];
    }

    /**
     * @param MapRow $row
     *
     * @return MapPoint
     */
    private static function point(object $row): array
    {
        return [
            'name' => $row->name,
            'keywords' => $row->keywords,
            'difficulty' => (float) $row->difficulty,
            'expected_gain' => (float) $row->expected_gain,
            'volume' => (int) $row->volume,
            'win_chance' => (float) $row->win_chance,
            'links_to_earn' => $row->links_to_earn,
            'priority' => Figures::float($row->priority),
            'own_position' => $row->own_position,
        ];
    }

    /**
     * @return list<array{chance: float, difficulty: float}> difficulties between 0 and 100 at which the chance to reach the target passes
     *     a round figure, where we are absent and no page leads
     */
    private static function contours(Comparison $comparison, int $target): array
    {
        $models = $comparison->models();
        $contours = [];
        foreach (self::CONTOURS as $chance) {
            $difficulty = $models?->difficultyAt($chance, $target);
            if ($difficulty !== null) {
                $contours[] = ['chance' => $chance, 'difficulty' => $difficulty];
            }
        }

        return $contours;
    }
}
