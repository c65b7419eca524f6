<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\UserError;
use App\Models\Study;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Who changed the rulebook of a study when and from what to what; and back to how it stood before a change. */
final readonly class RulebookHistory
{
    private const SHOWN = 100;

    public function __construct(private ChangeRulebook $change)
    {
    }

    /**
     * @return list<array{change: int, who: ?string, when: string, settings: list<array{key: string, from: ?string, to: string}>,
     *     restores: array<string, string>}> newest first; from null where the default stood; restores: what would bring back the
     *     rulebook from before
     */
    public function execute(Study $study): array
    {
        $stood = [];
        $history = [];
        $changes = $this->changes($study);
        foreach ($changes as $place => $change) {
            $settings = [];
            foreach ($change['settings'] as $key => $to) {
                $settings[] = ['key' => $key, 'from' => $stood[$key] ?? null, 'to' => $to];
                $stood[$key] = $to;
            }
            $history[] = [
                'change' => $change['id'],
                'who' => $change['who'],
                'when' => $change['when'],
                'settings' => $settings,
                'restores' => self::before($changes, $place),
            ];
        }

        return \array_slice(array_reverse($history), 0, self::SHOWN);
    }

    /**
     * Sets every setting to what it was before a change.
     *
     * @throws UserError when the study has no such change
     */
    public function revert(Study $study, int $change, ?int $userId): Rulebook
    {
        $changes = $this->changes($study);
        $place = array_search($change, array_column($changes, 'id'), true);
        if ($place === false) {
            throw UserError::because('change', 'The rulebook has no such change.');
        }

        return $this->change->execute($study, self::before($changes, (int) $place), $userId);
    }

    /**
     * @param list<array{id: int, who: ?string, when: string, settings: array<string, string>}> $changes oldest first
     *
     * @return array<string, string> every setting changed since, as it stood before the change at a place
     */
    private static function before(array $changes, int $place): array
    {
        $before = array_merge([], ...array_column(\array_slice($changes, 0, $place), 'settings'));
        $since = array_merge([], ...array_column(\array_slice($changes, $place), 'settings'));
        $standard = Rulebook::standard();
        $texts = [];
        foreach (array_keys($since) as $key) {
            $texts[$key] = $before[$key] ?? $standard->spelt($key);
        }

        return $texts;
    }

    /** @return list<array{id: int, who: ?string, when: string, settings: array<string, string>}> oldest first */
    private function changes(Study $study): array
    {
        /** @var Collection<int, object{id: int, name: ?string, created_at: string, detail: string}> $rows */
        $rows = DB::table('changes')
            ->leftJoin('users', 'users.id', '=', 'changes.user_id')
            ->where('study_id', $study->id)
            ->where('what', 'rulebook')
            ->orderBy('changes.id')
            ->get(['changes.id', 'users.name', 'changes.created_at', 'detail']);

        return array_values(
            $rows
                ->map(
                    static fn(object $row): array => [
                        'id' => $row->id,
                        'who' => $row->name,
                        'when' => $row->created_at,
                        'settings' => self::settings($row->detail),
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, string> key → text */
    private static function settings(string $json): array
    {
        /** @var array<string, string> */
        return json_decode($json, true, 4, JSON_THROW_ON_ERROR);
    }
}
