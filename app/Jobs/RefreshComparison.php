<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Findings\FindingsQuery;
use App\Actions\Plans\ClickSharesQuery;
use App\Exceptions\FailureMessage;
use App\Models\Study;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Support\Facades\Cache;

/** Brings the comparison on show up to date. Safe to run twice: a current one is left as it is. */
final class RefreshComparison implements ShouldBeUniqueUntilProcessing, ShouldQueueAfterCommit
{
    use Dispatchable;
    use Queueable;

    private const HOUR = 3600;

    public int $tries = 2;

    public int $timeout = 1800;

    /**
     * Seconds. A worker that dies between taking this job and starting it leaves the lock behind; after this long, anyone who waits
     * for the comparison queues the job again.
     */
    public int $uniqueFor = 45;

    public function __construct(public readonly int $studyId)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->studyId;
    }

    /** Where the progress of a study's comparison stands: keywords done so far. */
    public static function progressKey(int $studyId): string
    {
        return 'comparison-progress:'.$studyId;
    }

    /** Where it stands why the comparison of a study broke off, and of which data. */
    public static function problemKey(int $studyId): string
    {
        return 'comparison-problem:'.$studyId;
    }

    /** It is not tried again by itself before the data change or someone asks for it. */
    public function failed(\Throwable $error): void
    {
        $version = Study::query()->whereKey($this->studyId)->value('data_version');
        Cache::put(self::problemKey($this->studyId), ['words' => FailureMessage::of($error), 'data_version' => $version], 24 * self::HOUR);
        Cache::forget(self::progressKey($this->studyId));
    }

    public function handle(EnsureComparison $ensure, ClickSharesQuery $shares, FindingsQuery $findings): void
    {
        $study = Study::query()->with('domains')->find($this->studyId);
        if ($study === null) {
            return;
        }
        $ensure->execute(ComparisonOptions::shownBy($study), function (int $done): void {
            Cache::put(self::progressKey($this->studyId), $done, self::HOUR);
        });
        Cache::forget(self::progressKey($this->studyId));
        Cache::forget(self::problemKey($this->studyId));
        // Calculated now, so that no one waits for it.
        $shares->execute($study->refresh());
        $findings->execute($study->load(['domains', 'comparison']));
        PrepareReview::dispatch($study->id);
        SendDigest::dispatchFor($study);
    }
}
