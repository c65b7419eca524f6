<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\Study;
use App\Models\User;
use App\Support\Paging\Cursor;
use Illuminate\Database\Eloquent\Builder;

/** One page of the studies that a person may see, by name, or by group and name. */
final class StudiesQuery
{
    /** What studies are grouped by → its value of one. */
    public const GROUPS = [
        'domain' => "(SELECT min(entry) FROM domains WHERE domains.study_id = studies.id AND role = 'own')",
        'country' => 'country',
    ];

    /**
     * @param string  $wanted part of a name or of a domain compared; empty for all
     * @param ?string $group  one of GROUPS; null for none
     *
     * @return array{studies: list<Study>, next: ?string} with their domains and the comparison on show
     *
     * @throws UserError when no list gave the cursor
     */
    public function execute(User $user, string $wanted, ?string $group, ?string $cursor, int $limit): array
    {
        $key = $group === null ? "''" : self::GROUPS[$group];
        $query = Study::visibleTo($user)->with(['domains', 'comparison'])->select('studies.*')->selectRaw("{$key}::text AS listed_under")
            ->orderByRaw("{$key}::text")->orderBy('name')->orderBy('id')->limit($limit + 1);
        if ($wanted !== '') {
            self::look($query, '%'.addcslashes($wanted, '%_\\').'%');
        }
        $after = Cursor::read($cursor, 3);
        if ($after !== null) {
            $query->whereRaw(
                "({$key}::text, name, id) > (?::text, ?::text, ?::bigint)",
                [(string) $after[0], (string) $after[1], (int) $after[2]],
            );
        }
        /** @var list<Study> $found */
        $found = $query->get()->all();
        $studies = \array_slice($found, 0, $limit);
        $last = end($studies);

        return [
            'studies' => $studies,
            'next' => \count($found) > $limit && $last !== false ? Cursor::write([$last->listed_under, $last->name, $last->id]) : null,
        ];
    }

    /** @param Builder<Study> $query */
    private static function look(Builder $query, string $pattern): void
    {
        $query->where(static function (Builder $query) use ($pattern): void {
            $query->where('name', 'ilike', $pattern)->orWhereHas(
                'domains',
                static fn(Builder $domains): Builder => $domains->where('entry', 'ilike', $pattern)
                    ->whereIn('role', [Domain::OWN, Domain::COMPETITOR]),
            );
        });
    }
}
