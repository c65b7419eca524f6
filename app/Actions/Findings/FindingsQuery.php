<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Release;
use App\Support\StudyState;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Findings;
use GreaterReach\Core\Findings\MissingData;
use Illuminate\Support\Facades\Cache;

/** Findings in a study, remembered until a figure changes. */
final readonly class FindingsQuery
{
    private const REMEMBERED_SECONDS = 86_400;

    public function __construct(
        private OpportunityFindingsQuery $opportunities,
        private MarketFindingsQuery $market,
        private MissingDataQuery $lacks,
    ) {
    }

    /** @return list<Finding> most worth first; what the data lack comes last */
    public function execute(Study $study): array
    {
        $comparison = $study->comparison;
        if ($comparison === null) {
            return [MissingData::comparison()];
        }
        $state = [Release::stamp(), $comparison->id, StudyState::ofFigures($study->id), now('UTC')->toDateString()];
        $kept = Cache::remember(
            'findings '.implode(' ', $state),
            self::REMEMBERED_SECONDS,
            fn(): string => json_encode($this->found($study, $comparison), JSON_THROW_ON_ERROR),
        );
        /**
         * @var list<array{code: string, worth: int|float|null, words: string, next: string, stage: string, show: ?string,
         *     numbers: array<string, int|float|null>}> $findings
         */
        $findings = json_decode($kept, true, 8, JSON_THROW_ON_ERROR);

        return array_map(Finding::fromArray(...), $findings);
    }

    /** @return list<Finding> */
    private function found(Study $study, Comparison $comparison): array
    {
        $count = new CountedRows($study, $comparison);
        $findings = Findings::choose($this->all($study, $comparison), $count->leading(...));
        $comparison->update(['finding' => Findings::leading($findings)]);

        return $findings;
    }

    /** @return \Generator<int, ?Finding> */
    private function all(Study $study, Comparison $comparison): \Generator
    {
        foreach ([$this->market, $this->opportunities, $this->lacks] as $read) {
            foreach ($read->execute($study, $comparison) as $finding) {
                yield $finding;
            }
        }
    }
}
