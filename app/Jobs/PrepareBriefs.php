<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\Plans\BriefQuery;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\TaskKind;
use App\Support\Sources\Sources;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueueAfterCommit;
use Illuminate\Foundation\Bus\Dispatchable;

/** Fetches what the briefs of the newest items need from the source. Safe to run twice. */
final class PrepareBriefs implements ShouldBeUniqueUntilProcessing, ShouldQueueAfterCommit
{
    use Dispatchable;
    use Queueable;

    /** So many briefs, so that other work need not wait long. */
    private const MOST = 20;

    public int $tries = 1;

    public int $timeout = 120;

    public int $uniqueFor = 300;

    public function __construct(public readonly int $studyId)
    {
        $this->onQueue(TaskKind::SHORT);
    }

    public function uniqueId(): string
    {
        return (string) $this->studyId;
    }

    public function handle(Sources $sources, BriefQuery $read): void
    {
        $study = $sources->names() === [] ? null : Study::query()->with('domains')->find($this->studyId);
        if ($study === null) {
            return;
        }
        $items = PlanItem::of($study)->whereNotIn('status', ['done', 'dropped'])->orderByDesc('id')->limit(self::MOST)->get();
        foreach ($items as $item) {
            $read->execute($study, $item);
        }
    }
}
