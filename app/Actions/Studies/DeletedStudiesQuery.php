<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Models\Study;
use App\Models\User;

/** Deleted studies that a person may take back. */
final class DeletedStudiesQuery
{
    /** @return list<array{slug: string, name: string, deleted_at: string, deleted_by: ?string, gone_at: string}> the newest first */
    public function execute(User $user): array
    {
        $query = Study::onlyTrashed()->leftJoin('users', 'users.id', '=', 'studies.deleted_by')
            ->select('studies.*')->selectRaw('users.name AS deleter')->orderByDesc('deleted_at')->orderBy('studies.id');
        if (! $user->is_administrator) {
            $query->whereHas('members', static fn($members) => $members->whereKey($user->id)->where('study_members.role', 'editor'));
        }
        /** @var list<Study> $studies */
        $studies = $query->get()->all();

        return array_map(
            static fn(Study $study): array => [
                'slug' => $study->slug,
                'name' => $study->name,
                'deleted_at' => (string) $study->deleted_at?->toIso8601ZuluString(),
                'deleted_by' => $study->deleter,
                'gone_at' => DeleteStudy::goneAt($study)->toIso8601ZuluString(),
            ],
            $studies,
        );
    }
}
