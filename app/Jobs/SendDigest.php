<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Digest\DigestQuery;
use App\Mail\DigestMail;
use App\Models\DigestSubscription;
use App\Models\Study;
use App\Models\User;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;

/** Mails one person the newest month of a study, once a month however often it runs. */
final class SendDigest implements ShouldQueueAfterCommit
{
    use Dispatchable;
    use Queueable;

    public int $tries = 4;

    /** @var list<int> seconds before the next try, when the mail server does not answer */
    public array $backoff = [60, 600, 3600];

    public function __construct(public readonly int $subscriptionId)
    {
    }

    /** One for everyone who has not been told of a study's newest rankings. */
    public static function dispatchFor(Study $study): void
    {
        $day = $study->comparison?->domains[0]['snapshot'] ?? null;
        if ($day !== null) {
            DigestSubscription::query()->where('study_id', $study->id)
                ->where(static fn(Builder $known): Builder => $known->whereNull('sent_day')->orWhere('sent_day', '<', $day))
                ->each(static fn(DigestSubscription $one): mixed => self::dispatch($one->id));
        }
    }

    public function handle(DigestQuery $read): void
    {
        // Held while it is sent, so that two that run at once send one.
        DB::transaction(function () use ($read): void {
            $subscription = DigestSubscription::query()->with('user')->lockForUpdate()->find($this->subscriptionId);
            $study = $subscription === null ? null : Study::query()->with(['domains', 'comparison'])->find($subscription->study_id);
            $comparison = $study?->comparison;
            $day = $comparison->domains[0]['snapshot'] ?? null;
            $isNews = $day !== null && ($subscription?->sent_day === null || $subscription->sent_day->toDateString() < $day);
            if (! $isNews || $subscription === null || $study === null || $comparison === null) {
                return;
            }
            if (self::mayRead($subscription->user, $study)) {
                Mail::to($subscription->user->email)->send(new DigestMail($study, $read->execute($study, $comparison), $subscription));
                $subscription->update(['sent_day' => $day]);
            }
        });
    }

    private static function mayRead(User $user, Study $study): bool
    {
        return $user->disabled_at === null && Gate::forUser($user)->allows('view', $study);
    }
}
