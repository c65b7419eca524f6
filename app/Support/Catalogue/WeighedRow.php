<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Meaning\Noise;
use GreaterReach\Core\Meaning\PageMeaning;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Plan\SeasonKind;
use GreaterReach\Core\Priority\Candidate;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\Judgement;
use GreaterReach\Core\Priority\MeasuredClicks;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\ScoreCell;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PageKind;

/**
 * One keyword of a comparison, compared and, in the organic channel, weighed. Each property is a column of the table; what is said of it
 * stands beside it, and `RowCatalogue` reads it there. Null means unknown, or not weighed.
 */
final readonly class WeighedRow
{
    /**
     * @param list<?int> $positions our position and those of the competitors as listed
     * @param list<?int> $previous  the same in the snapshots before
     */
    public function __construct(
        #[Column('Keyword', asked: 'keyword', meaning: 'The keyword as its key.', from: Origin::Rankings)]
        public string $keyword,
        #[Column('Standing', meaning: 'Our position against the best competitor.', from: Origin::Rankings)]
        public Standing $standing,
        #[Column('We', asked: 'own', isTold: false, meaning: 'Our best position.', from: Origin::Rankings)]
        public ?int $ownPosition,
        #[Column('Our page', meaning: 'Our page with the best position.', from: Origin::Rankings)]
        public ?string $ownUrl,
        #[Column(
            'Targeted',
            asked: 'meant',
            meaning: 'Whether our page’s path has every word of the keyword.',
            from: Origin::Words,
        )]
        public ?bool $pageIsMeant,
        #[Column(isTold: false)]
        public ?int $bestCompetitor,
        #[Column('Best', meaning: 'Best position of the competitors.', asked: 'best', isRange: true, isTold: false, from: Origin::Rankings)]
        public ?int $bestPosition,
        #[Column('Ranking', asked: 'ranking', meaning: 'Number of competitors that rank.', from: Origin::Rankings)]
        public int $competitorsRanking,
        #[Column('Above us', asked: 'above', isRange: true, meaning: 'Number of competitors above us.', from: Origin::Rankings)]
        public int $competitorsAbove,
        #[Column(meaning: 'Our position and the competitors’.')]
        public array $positions,
        #[Column(meaning: 'Positions in the previous snapshots.')]
        public array $previous,
        #[Column(isTold: false)]
        public int $presence,
        #[Column('Movement', meaning: 'Change of our best position since the previous snapshot.', from: Origin::Rankings)]
        public ?Movement $movement,
        #[Column('Page conflict', meaning: 'Two or more of our pages rank within 50.', from: Origin::Rankings)]
        public bool $pageConflict,
        #[Column('Volume', 'searches a month', 'Searches a month.', asked: 'volume', isRange: true, from: Origin::Figures)]
        public ?int $volume,
        #[Column(meaning: 'The volume is the mean of twelve monthly volumes.')]
        public bool $volumeDerived,
        #[Column(
            'Difficulty',
            '0–100',
            'How hard page one is, 0 to 100.',
            asked: 'difficulty',
            isRange: true,
            from: Origin::Figures,
        )]
        public ?float $difficulty,
        #[Column('CPC', 'money', 'Cost of a click on an ad.', asked: 'cpc', isRange: true, from: Origin::Figures)]
        public ?float $cpc,
        #[Column(
            'Adv. comp.',
            '0–1',
            'Competition between advertisers, not organic difficulty.',
            asked: 'competition',
            isRange: true,
            from: Origin::Figures,
        )]
        public ?float $advertiserCompetition,
        #[Column('Words', 'words', 'Number of words in the keyword.', asked: 'words', isRange: true, from: Origin::Words)]
        public int $words,
        #[Column(isTold: false)]
        public int $brands,
        #[Column(isTold: false)]
        public bool $isListed,
        #[Column('Season', meaning: 'Steady, or seasonal with a peak.', from: Origin::Figures)]
        public ?SeasonKind $season,
        #[Column('Peak', 'month', 'The month with the most searches.', asked: 'peak', isRange: true, from: Origin::Figures)]
        public ?int $peak,
        #[Column(isTold: false)]
        public bool $isCode,
        #[Column(isTold: false)]
        public bool $isNavigational,
        #[Column(isTold: false)]
        public int $competitorsIn10,
        #[Column(isTold: false)]
        public int $competitorsIn20,
        #[Column(isTold: false)]
        public int $competitorsIn50,
        #[Column('Intent', meaning: 'What the searcher wants.', from: Origin::Words)]
        public ?Intent $intent,
        #[Column('Topic', meaning: 'Keywords that one page can serve, named by the primary keyword.', from: Origin::Rules)]
        public ?string $topic,
        #[Column(isTold: false)]
        public ?string $topicFound,
        #[Column('Page', asked: 'page_kind', meaning: 'Whether we have a page for its topic.', from: Origin::Rankings)]
        public bool $hasPage,
        #[Column(
            'Ground',
            'share',
            'How strong we are in related topics: the share of their keywords for which we rank in the top 20.',
            asked: 'ground',
            isRange: true,
            from: Origin::Rankings,
        )]
        public ?float $ground,
        #[Column(meaning: 'For how many keywords of related topics we rank in the top 20.')]
        public ?int $groundHeld,
        #[Column(meaning: 'How many keywords of related topics there are.')]
        public ?int $groundOf,
        #[Column(isTold: false)]
        public ?float $pageOneMedian,
        #[Column(isTold: false)]
        public ?int $ownPageLinks,
        #[Column(meaning: 'Our clicks in the newest performance import.')]
        public ?int $measuredClicks,
        #[Column(meaning: 'Our impressions in the newest performance import.')]
        public ?int $measuredImpressions,
        #[Column('Features', meaning: 'Features of the results page, from rankings.', from: Origin::PageOne)]
        public ?string $features,
        #[Column('Target', 'position', 'Target position.', from: Origin::Rules)]
        public ?int $target,
        #[Column('Visits now', 'visits a month', 'Estimated visits at our position.', asked: 'visits', isRange: true, from: Origin::Curve)]
        public ?float $visitsNow,
        #[Column('Potential', 'visits a month', 'Estimated visits at position 1.', asked: 'potential', isRange: true, from: Origin::Curve)]
        public ?float $potential,
        #[Column(
            'Gain',
            'visits a month',
            'Extra visits at the target.',
            asked: 'gain',
            isRange: true,
            from: Origin::Curve,
        )]
        public ?float $gain,
        #[Column('Win chance', 'share', 'The chance to reach the target.', asked: 'chance', isRange: true, from: Origin::Chances)]
        public ?float $winChance,
        #[Column(
            'Expected gain',
            'visits a month',
            'Expected extra visits over all positions it may reach.',
            asked: 'expected',
            isRange: true,
            from: Origin::Chances,
        )]
        public ?float $expectedGain,
        #[Column(
            'Worth',
            'visits per day',
            'Expected visits a month per day of work.',
            asked: 'worth',
            isRange: true,
            from: Origin::Chances,
        )]
        public ?float $worth,
        #[Column('Horizon', meaning: 'How soon it pays.', from: Origin::Rules)]
        public ?Horizon $horizon,
        #[Column('Tactic', meaning: 'What to do about it.', from: Origin::Rules)]
        public ?TacticLabel $tactic,
        #[Column(
            'Links to earn',
            'referring domains',
            'Referring domains our page still needs for page one.',
            asked: 'links',
            isRange: true,
            from: Origin::PageOne,
        )]
        public ?int $linksToEarn,
        public ?Scores $scores,
    ) {
    }

    /** @param ?string $found the topic that was found, whatever a person chose */
    public static function weighed(Opportunity $opportunity, ?string $found): self
    {
        return self::of(
            $opportunity->candidate->row,
            $opportunity->candidate->metrics,
            $opportunity->brands,
            $opportunity->isListed,
            $opportunity,
            $found,
        );
    }

    /** A row that is compared but not weighed, as in the paid channel. */
    public static function compared(ComparisonRow $row, Metrics $metrics, int $brands): self
    {
        return self::of($row, $metrics, $brands, false, null, null);
    }

    /** @param \stdClass $row as the database gives it, whole */
    public static function fromDatabase(\stdClass $row): self
    {
        // In the order of the constructor, which is that of the catalogue.
        $values = [];
        foreach (RowCatalogue::entries() as $entry) {
            $value = $row->{$entry->name};
            $values[] = $entry->isPlain || $value === null ? $value : $entry->read($value);
        }
        $scores = [];
        foreach (RowCatalogue::scores() as $column) {
            $scores[] = Figures::float($row->{$column});
        }
        $values[] = $row->target === null ? null : Scores::inOrder(...$scores);

        /** @var ?\ReflectionClass<self> $class */
        static $class = null;
        $class ??= new \ReflectionClass(self::class);

        return $class->newInstanceArgs($values);
    }

    /** @return list<mixed> a value for each column of the catalogue, in its order */
    public function cells(): array
    {
        $cells = array_values((array) $this);
        // The last of them, in columns of their own.
        array_pop($cells);

        return [
            ...$cells,
            ...array_values($this->scores?->toArray() ?? array_fill_keys(Criterion::names(), null)),
            $this->scores === null ? null : ScoreCell::of($this->scores),
        ];
    }

    /** @return array<string, mixed> column → value, of those that the API gives */
    public function told(): array
    {
        $told = [];
        foreach (RowCatalogue::told() as $entry) {
            $value = $this->{$entry->property};
            $told[$entry->name] = $entry->class === null ? $value : self::plain($value);
        }

        return $told;
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            $value instanceof \BackedEnum => $value->value,
            $value instanceof \Stringable => (string) $value,
            default => $value,
        };
    }

    /** The row as it goes into the rules again, whole: weighed by the same rulebook it comes out as it is. */
    public function candidate(Judgement $judgement): Candidate
    {
        $row = new ComparisonRow(
            $this->keyword,
            $this->standing,
            $this->positions,
            $this->previous,
            [],
            $this->bestCompetitor,
            $this->bestPosition,
            $this->competitorsRanking,
            $this->competitorsAbove,
            $this->presence,
            $this->movement,
        );

        return new Candidate(
            $row,
            new Metrics($this->volume, $this->difficulty, $this->cpc),
            $judgement,
            $this->heldGround(),
            $this->pageOneMedian,
            $this->ownPageLinks ?? 0,
            $this->measured(),
            $this->hasPage,
            $this->pageConflict,
            $this->topic,
            FeatureClicks::read((string) $this->features),
        );
    }

    public function measured(): ?MeasuredClicks
    {
        return $this->measuredImpressions === null ? null : new MeasuredClicks($this->measuredClicks ?? 0, $this->measuredImpressions);
    }

    public function pageKind(): PageKind
    {
        return $this->hasPage ? PageKind::Existing : PageKind::New;
    }

    /** Whether it is on the list of opportunities, as far as its business fit lets it. */
    public function isOpen(FitGate $gate): bool
    {
        return $this->isListed && $gate->lets($this->scores?->at(Criterion::Fit));
    }

    public function heldGround(): Ground
    {
        return Ground::held($this->groundHeld ?? 0, $this->groundOf ?? 0);
    }

    private static function of(
        ComparisonRow $row,
        Metrics $metrics,
        int $brands,
        bool $isListed,
        ?Opportunity $weighed,
        ?string $found,
    ): self {
        $season = $metrics->hasWholeYear() ? Season::of($metrics) : null;

        return self::fill($row, $metrics, $brands, $isListed, $weighed, $found, Words::of($row->keyword), $season);
    }

    /** @param list<string> $words of the keyword */
    private static function fill(
        ComparisonRow $row,
        Metrics $metrics,
        int $brands,
        bool $isListed,
        ?Opportunity $weighed,
        ?string $found,
        array $words,
        ?Season $season,
    ): self {
        return new self(
            keyword: $row->keyword,
            standing: $row->standing,
            ownPosition: $row->ownPosition(),
            ownUrl: $row->ownUrl(),
            pageIsMeant: $row->ownUrl() === null ? null : PageMeaning::isMeantFor($row->keyword, $row->ownUrl()),
            bestCompetitor: $row->bestCompetitor,
            bestPosition: $row->bestPosition,
            competitorsRanking: $row->competitorsRanking,
            competitorsAbove: $row->competitorsAbove,
            positions: $row->positions,
            previous: $row->previous,
            presence: $row->presence,
            movement: $row->movement,
            pageConflict: TacticRule::hasPageConflict($row),
            volume: $metrics->volume,
            volumeDerived: $metrics->volumeIsDerived,
            difficulty: $metrics->difficulty,
            cpc: $metrics->cpc,
            advertiserCompetition: $metrics->advertiserCompetition,
            words: \count($words),
            brands: $brands,
            isListed: $isListed,
            season: $season?->kind(),
            peak: $season?->peak(),
            isCode: Noise::isCode($words),
            isNavigational: Noise::isNavigational($words),
            competitorsIn10: $row->competitorsIn(10),
            competitorsIn20: $row->competitorsIn(20),
            competitorsIn50: $row->competitorsIn(50),
            intent: $weighed?->intent,
            topic: $weighed?->candidate->topic,
            topicFound: $found,
            hasPage: $weighed !== null && $weighed->candidate->hasPage,
            ground: $weighed?->candidate->ground->share(),
            groundHeld: $weighed?->candidate->ground->held,
            groundOf: $weighed?->candidate->ground->of,
            pageOneMedian: $weighed?->candidate->pageOneMedian,
            ownPageLinks: $weighed?->candidate->ownPageLinks,
            measuredClicks: $weighed?->candidate->measured?->clicks,
            measuredImpressions: $weighed?->candidate->measured?->impressions,
            features: $weighed === null || $weighed->candidate->features === [] ? null : implode(';', $weighed->candidate->features),
            target: $weighed?->work->target,
            visitsNow: $weighed?->clicks->visitsNow,
            potential: $weighed?->clicks->potential,
            gain: $weighed?->work->gain,
            winChance: $weighed?->work->winChance,
            expectedGain: $weighed?->work->expectedGain,
            worth: $weighed?->worth,
            horizon: $weighed?->horizon,
            tactic: $weighed?->work->tactic,
            linksToEarn: $weighed?->linksToEarn,
            scores: $weighed?->scores,
        );
    }
}
