<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\Refused;
use App\Models\Study;
use App\Models\User;
use App\Support\Paging\Cursor;

/** One page of the studies that a person may see, by name. */
final class ListStudies
{
    /**
     * @param string $name part of a name; empty for all
     *
     * @return array{studies: list<Study>, next: ?string} with their domains and the comparison on show
     *
     * @throws Refused when no list gave the cursor
     */
    public function execute(User $user, string $name, ?string $cursor, int $limit): array
    {
        $query = Study::visibleTo($user)->with(['domains', 'comparison'])->orderBy('name')->orderBy('id')->limit($limit + 1);
        if ($name !== '') {
            $query->where('name', 'ilike', '%'.addcslashes($name, '%_\\').'%');
        }
        $after = Cursor::read($cursor, 2);
        if ($after !== null) {
            $query->whereRaw('(name, id) > (?::text, ?::bigint)', [(string) $after[0], (int) $after[1]]);
        }
        /** @var list<Study> $found */
        $found = $query->get()->all();
        $studies = \array_slice($found, 0, $limit);
        $last = end($studies);

        return [
            'studies' => $studies,
            'next' => \count($found) > $limit && $last !== false ? Cursor::write([$last->name, $last->id]) : null,
        ];
    }
}
