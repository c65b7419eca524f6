<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** A new study of the person who makes it, as long as she has not made too many. */
final readonly class CreateStudy
{
    public function __construct(private SaveStudy $save)
    {
    }

    /** @throws UserError */
    public function execute(StudyDraft $draft, User $maker): Study
    {
        return DB::transaction(function () use ($draft, $maker): Study {
            // Two studies that are made at once are counted one after the other.
            DB::table('users')->where('id', $maker->id)->lockForUpdate()->first();
            self::checkCount($maker);
            if (Study::query()->where('slug', $draft->slug)->exists()) {
                throw UserError::because('slug', 'A study with this short name already exists.');
            }
            $study = $this->save->execute($draft)->study;
            $study->forceFill(['made_by' => $maker->id])->save();
            $study->members()->attach($maker->id, ['role' => 'editor']);

            return $study;
        });
    }

    private static function checkCount(User $maker): void
    {
        $most = config()->integer('reach.studies_each');
        if (Study::withTrashed()->where('made_by', $maker->id)->count() >= $most) {
            throw UserError::because('slug', sprintf('You have created %d studies, the most one person can have.', $most));
        }
    }
}
