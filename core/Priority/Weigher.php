<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\Prospect;

/** Carries one keyword through visits, chances, tactic and scores, by one rulebook and the models of one study. */
final readonly class Weigher
{
    private Outlook $outlook;
    private Scoring $scoring;
    private HorizonRule $horizons;
    private TacticRule $tactics;

    public function __construct(private WeighSettings $settings, private Models $models, private BrandMatcher $brands)
    {
        $this->scoring = new Scoring($settings);
        $this->horizons = new HorizonRule($settings, $models->comfort);
        $this->outlook = new Outlook($models->positions, $models->curve, $models->effect);
        $this->tactics = new TacticRule($models->curve, $settings->titleRatio, $settings->shortTermChance);
    }

    public function weigh(Candidate $candidate): Opportunity
    {
        $position = $candidate->row->ownPosition();
        $metrics = $candidate->metrics;
        $share = $this->settings->featureClicks->shareLeft($candidate->features);
        $clicks = Potential::of(
            $metrics->volume,
            $position,
            $candidate->judgement->target ?? $this->settings->target,
            $this->models->curve,
            $share,
        );
        $prospect = $this->outlook->of(
            $position,
            $clicks->target,
            $metrics->difficulty,
            $candidate->ground,
            $metrics->volume === null ? null : $metrics->volume * $share,
        );
        $linksToEarn = $this->models->links->toEarn($candidate->pageOneMedian, $metrics->difficulty, $candidate->ownPageLinks);
        $words = Words::of($candidate->row->keyword);
        $intent = $candidate->judgement->intent ?? $this->settings->intents->intentIn($words);
        $brands = $this->brands->domainsIn($candidate->row->keyword, $words);

        return new Opportunity(
            $candidate,
            $clicks,
            $prospect,
            $linksToEarn,
            $intent,
            $this->horizons->of($position, $metrics->difficulty, $clicks->gain, $prospect->reach),
            $this->tactics->of($candidate, $share),
            $this->tactics->needsLinks($linksToEarn, $prospect->reach),
            $this->scores($candidate, $clicks, $prospect, $intent, $words),
            $brands,
            $position !== 1 && $candidate->row->standing !== Standing::Unclaimed && ! BrandMatcher::isForeign($brands),
        );
    }

    /** The tactic as it is written beside another reach than the one it was chosen with. */
    public function withLinks(Tactic $tactic, ?int $linksToEarn, ?float $reach): TacticLabel
    {
        return TacticLabel::of($tactic, $this->tactics->needsLinks($linksToEarn, $reach));
    }

    /** @param list<string> $words */
    private function scores(Candidate $candidate, Potential $clicks, Prospect $prospect, Intent $intent, array $words): Scores
    {
        return $this->scoring->of(
            $prospect->expectedGain,
            $candidate->metrics->volume,
            $candidate->metrics->difficulty,
            $clicks->gain,
            $candidate->metrics->cpc,
            $intent,
            $candidate->judgement->fit ?? $this->settings->fits->fitOf($words, $candidate->topic),
        );
    }
}
