<?php

declare(strict_types=1);

namespace App\Actions\Audit;

use App\Models\BriefLink;
use App\Models\Domain;
use App\Models\Lens;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\User;
use App\Models\WeightPreset;
use Illuminate\Database\Eloquent\Model;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What stood there before the act that is under way changed it, for the audit record; of what a person says, and without what is secret.
 */
final class PreviousValues
{
    private const WATCHED = [
        BriefLink::class, Domain::class, Lens::class, PersonalAccessToken::class, PlanDraft::class, PlanItem::class, Study::class,
        User::class, WeightPreset::class,
    ];

    /** Secrets, what changes by itself, and the places of domains in a comparison, which are told in one. */
    private const LEFT_OUT = [
        'password', 'totp_secret', 'totp_step', 'recovery_codes', 'token', 'remember_token', 'last_used_at', 'updated_at', 'created_at',
        'comparison_id', 'data_version', 'version', 'role', 'place',
    ];

    /** Things of one act. */
    private const MOST = 50;

    /** @var array<string, array<string, mixed>> */
    private array $held = [];

    /** Of what is changed, the fields that change; of what is deleted, all. */
    public function see(Model $model): void
    {
        $isWatched = \in_array($model::class, self::WATCHED, true) && $model->exists;
        $fields = $model->isDirty() ? array_intersect_key($model->getRawOriginal(), $model->getDirty()) : $model->getRawOriginal();
        if ($isWatched) {
            $key = $model->getKey();
            $what = lcfirst(class_basename($model)).' '.(\is_scalar($key) ? $key : '');
            $this->note($what, array_diff_key($fields, array_flip(self::LEFT_OUT)));
        }
    }

    /** @param array<string, mixed> $fields as they were; the first that is said of a thing holds */
    public function note(string $what, array $fields): void
    {
        if ($fields !== [] && \count($this->held) < self::MOST) {
            $this->held[$what] = [...$fields, ...$this->held[$what] ?? []];
        }
    }

    /** @return array{before?: array<string, array<string, mixed>>} of this act; the next begins with nothing */
    public function take(): array
    {
        [$held, $this->held] = [$this->held, []];

        return $held === [] ? [] : ['before' => $held];
    }
}
