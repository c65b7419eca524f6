<?php

declare(strict_types=1);

namespace App\Actions\Tasks;

use App\Actions\Pulls\SchedulePulls;
use App\Models\Study;
use App\Models\TaskKind;
use Carbon\CarbonImmutable;

/** Starts the monthly pulls that are due, those that a time without the server left out included. */
final readonly class StartDuePulls
{
    public function __construct(private StartTask $start)
    {
    }

    /** @return int how many were started */
    public function execute(): int
    {
        $today = CarbonImmutable::now('UTC');
        /** @var list<Study> $studies */
        $studies = Study::query()->whereNotNull('pull_day')->where('pulled_on', '<', $today->toDateString())->orderBy('id')->get()->all();

        return array_sum(array_map(fn(Study $study): int => $this->startOne($study, $today), $studies));
    }

    private function startOne(Study $study, CarbonImmutable $today): int
    {
        $due = SchedulePulls::due((int) $study->pull_day, $today)->toDateString();
        // Whoever sets the day starts it: two machines may look at once.
        $waiting = Study::query()->whereKey($study->id)->where('pulled_on', '<', $due);
        $isMine = $waiting->update(['pulled_on' => $today->toDateString()]) === 1;
        if ($isMine) {
            $this->start->execute($study, null, TaskKind::Pull, "Monthly pull from {$study->pull_source}", [
                'source' => (string) $study->pull_source, 'date' => null, 'snapshots' => 1, 'domain' => null,
            ]);
        }

        return (int) $isMine;
    }
}
