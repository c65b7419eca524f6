<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Results\Compared;
use GreaterReach\Core\Winning\Outlook;
use GreaterReach\Core\Winning\Prospect;

/** Carries one keyword through visits, chances, tactic and scores, by one rulebook and the models of one study. */
final readonly class Weigher
{
    /** Score of each intent as a criterion. */
    private const INTENT_SCORES = ['buy' => 5, 'compare' => 4, 'learn' => 2, 'open' => 2];

    private Outlook $outlook;
    private TacticRule $tactics;

    public function __construct(private WeighSettings $settings, private Models $models, private BrandMatcher $brands)
    {
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
            $this->horizon($position, $metrics->difficulty, $clicks->gain, $prospect->reach),
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

    private function horizon(?int $position, ?float $difficulty, ?float $gain, ?float $reach): ?Horizon
    {
        if ($difficulty === null) {
            return null;
        }
        $isWorthIt = $gain !== null && Compared::of($gain) >= $this->settings->quickWinGain;
        if ($this->settings->striking->holds($position) && $this->isComfortable($difficulty) && $isWorthIt) {
            return Horizon::QuickWin;
        }

        return $reach !== null && Compared::of($reach) >= $this->settings->shortTermChance ? Horizon::ShortTerm : Horizon::LongTerm;
    }

    private function isComfortable(float $difficulty): bool
    {
        return Compared::of($difficulty) <= Compared::of($this->models->comfort->value);
    }

    /** @param list<string> $words */
    private function scores(Candidate $candidate, Potential $clicks, Prospect $prospect, Intent $intent, array $words): Scores
    {
        [$set, $style] = [$this->settings, $this->settings->style];
        $scores = [];
        foreach (Criterion::cases() as $criterion) {
            $scores[$criterion->value] = match ($criterion) {
                Criterion::Expected => $set->expectedBands->rising($prospect->expectedGain, $style),
                Criterion::Volume => $set->volumeBands->rising($candidate->metrics->volume, $style),
                Criterion::Ease => $set->easeBands->falling($candidate->metrics->difficulty, $style),
                Criterion::Gain => $set->gainBands->rising($clicks->gain, $style),
                Criterion::Value => $set->valueBands->rising($candidate->metrics->cpc, $style),
                Criterion::Intent => self::INTENT_SCORES[$intent->value],
                Criterion::Fit => $candidate->judgement->fit ?? $set->fits->fitOf($words, $candidate->topic),
            };
        }

        return Scores::of($scores);
    }
}
