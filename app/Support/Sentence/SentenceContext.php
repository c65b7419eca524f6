<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Models\Comparison;
use App\Models\Study;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What a sentence needs to know of the comparison it is about. */
final readonly class SentenceContext
{
    /** @param int $competitors how many the comparison has */
    private function __construct(public int $study, public string $channel, public int $competitors, private Comparison $comparison)
    {
    }

    public static function of(Comparison $comparison): self
    {
        return new self($comparison->study_id, $comparison->channel, \count($comparison->domains) - 1, $comparison);
    }

    /** Share of a position up to which a change is daily jitter. */
    public function noise(): float
    {
        return $this->studyOf()->rulebook()->float('movement_noise');
    }

    /** @return list<string> keywords of the comparison that are on the roadmap */
    public function onRoadmap(): array
    {
        return array_map(strval(...), array_keys(app(RoadmapKeywords::class)->keywords($this->comparison)));
    }

    private function studyOf(): Study
    {
        return Study::query()->with('domains')->findOrFail($this->study);
    }

    /** @return list<string> words whose keywords the study does not want to see */
    public function negatives(): array
    {
        return $this->studyOf()->rulebook()->words('negatives');
    }

    /**
     * @param string $channel organic or paid
     *
     * @return list<int> the snapshots of the compared domains as of the comparison, ours first; 0 for none
     */
    public function snapshots(string $channel): array
    {
        $ids = array_column($this->comparison->domains, 'id');
        /** @var Collection<int, int> $newest */
        $newest = DB::table('live_snapshots')->where('study_id', $this->study)->where('channel', $channel)->whereIn('domain_id', $ids)
            ->when($this->comparison->as_of !== null, fn($query) => $query->where('day', '<=', $this->comparison->as_of?->toDateString()))
            ->orderBy('day')->pluck('id', 'domain_id');

        return array_map(static fn(int $id): int => $newest[$id] ?? 0, $ids);
    }

    /** What all our positions import a month. */
    public function ownVisits(): float
    {
        return $this->comparison->own_visits;
    }

    /** Whether a domain (0 is ours) has a snapshot before this one, without which nothing moved. */
    public function hasPrevious(int $domain): bool
    {
        return isset($this->comparison->domains[$domain]['previous']);
    }
}
