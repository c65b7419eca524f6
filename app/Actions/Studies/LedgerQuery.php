<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Domains\DomainFiguresQuery;
use App\Models\ComparisonSummary;
use App\Models\Domain;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Explanation\Explanation;
use GreaterReach\Core\Explanation\StudyExplainer;
use GreaterReach\Core\Winning\AuthorityPeer;

/** The domains of a study as a ledger: scope, authority, what they hold, and a timeline of their snapshots. */
final readonly class LedgerQuery
{
    public function __construct(private DomainFiguresQuery $figures)
    {
    }

    /** @return list<array<string, mixed>> ours first, then the competitors, then the candidates */
    public function execute(Study $study): array
    {
        $snapshots = [];
        foreach (Snapshot::query()->where('study_id', $study->id)->get()->sortBy('day') as $snapshot) {
            $snapshots[$snapshot->domain_id][] = $snapshot;
        }
        $summary = $study->comparison->summary ?? ComparisonSummary::none();
        $places = array_flip(array_column($study->comparison->domains ?? [], 'id'));
        $band = $study->rulebook()->float('peer_band');
        $own = $study->domains->first()?->authority;
        $said = $this->figures->execute($study);
        $ledger = [];
        foreach ($study->domains as $domain) {
            $place = $places[$domain->id] ?? null;
            $ledger[] = [
                'id' => $domain->id,
                'role' => $domain->role,
                'entry' => $domain->entry,
                'scope' => $domain->scope->value,
                'authority' => $domain->authority,
                'peer' => $domain->role === Domain::OWN ? null : AuthorityPeer::of($domain->authority, $own, $band)?->value,
                'referring_domains' => $domain->referring_domains,
                'said' => $said[$domain->id] ?? [],
                'brand_terms' => $domain->brand_terms,
                'keywords' => $place === null ? null : $summary->ranking[$place] ?? null,
                'first_page' => $place === null ? null : $summary->firstPage[$place] ?? null,
                'visits' => $place === null ? null : $summary->visits[$place] ?? null,
                'value' => $place === null ? null : $summary->value[$place] ?? null,
                'share_of_clicks' => $place === null ? null : $summary->shareOfClicks[$place] ?? null,
                'why' => $place === null ? null : self::explain($domain->entry, $summary, $place),
                'snapshots' => self::timeline($snapshots[$domain->id] ?? []),
            ];
        }

        return $ledger;
    }

    /**
     * @return array<string, Explanation> figure → why it is what it is
     */
    private static function explain(string $entry, ComparisonSummary $summary, int $place): array
    {
        $visits = $summary->visits[$place] ?? 0.0;

        return [
            'visits' => StudyExplainer::visits($entry, $summary->ranking[$place] ?? 0, $visits),
            'value' => StudyExplainer::value($entry, $visits, $summary->value[$place] ?? 0.0),
            'share_of_clicks' => StudyExplainer::shareOfClicks($entry, $visits, (float) array_sum($summary->visits)),
        ];
    }

    /**
     * @param list<Snapshot> $snapshots
     *
     * @return list<array{day: string, channel: string, keywords: int}>
     */
    private static function timeline(array $snapshots): array
    {
        return array_map(
            static fn(Snapshot $snapshot): array => [
                'day' => $snapshot->day->toDateString(),
                'channel' => $snapshot->channel,
                'keywords' => $snapshot->keywords,
            ],
            $snapshots,
        );
    }
}
