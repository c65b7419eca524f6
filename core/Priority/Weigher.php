<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Winning\WinChance;

/** Carries one keyword through visits, win chance, tactic and scores, by one rulebook and the models of one study. */
final readonly class Weigher
{
    /** Score of each intent as a criterion. */
    private const INTENT_SCORES = ['buy' => 5, 'compare' => 4, 'learn' => 2, 'open' => 2];

    private WinChance $winChance;
    private TacticRule $tactics;

    public function __construct(private WeighSettings $settings, private Models $models, private BrandMatcher $brands)
    {
        $this->winChance = new WinChance($models->winModel, $settings->headStart11To20, $settings->headStart21To50);
        $this->tactics = new TacticRule($models->curve, $settings->titleRatio);
    }

    public function weigh(Candidate $candidate): Opportunity
    {
        $position = $candidate->row->ownPosition();
        $metrics = $candidate->metrics;
        $clicks = Potential::of(
            $metrics->volume,
            $position,
            $candidate->judgement->target ?? $this->settings->target,
            $this->models->curve,
        );
        $chance = $this->winChance->of($position, $metrics->difficulty);
        $linksToEarn = $this->models->links->toEarn($candidate->pageOneMedian, $metrics->difficulty, $candidate->ownPageLinks);
        $words = Words::of($candidate->row->keyword);
        $intent = $candidate->judgement->intent ?? $this->settings->intents->intentIn($words);
        $brands = $this->brands->domainsIn($candidate->row->keyword, $words);

        return new Opportunity(
            $candidate,
            $clicks,
            $chance,
            $chance === null || $clicks->gain === null ? null : $chance * $clicks->gain,
            $linksToEarn,
            $intent,
            $this->horizon($position, $metrics->difficulty, $chance),
            $this->tactics->of($candidate),
            TacticRule::needsLinks($linksToEarn, $chance),
            $this->scores($candidate, $clicks, $intent, $words),
            $brands,
            $position !== 1 && $candidate->row->standing !== Standing::Unclaimed && ! BrandMatcher::isForeign($brands),
        );
    }

    private function horizon(?int $position, ?float $difficulty, ?float $chance): ?Horizon
    {
        if ($difficulty === null) {
            return null;
        }
        if ($this->settings->striking->holds($position) && $difficulty <= $this->models->comfort->value) {
            return Horizon::QuickWin;
        }

        return $chance >= $this->settings->shortTermChance ? Horizon::ShortTerm : Horizon::LongTerm;
    }

    /** @param list<string> $words */
    private function scores(Candidate $candidate, Potential $clicks, Intent $intent, array $words): Scores
    {
        $scores = [];
        foreach (Criterion::cases() as $criterion) {
            $scores[$criterion->value] = match ($criterion) {
                Criterion::Volume => $this->settings->volumeBands->rising($candidate->metrics->volume),
                Criterion::Ease => $this->settings->easeBands->falling($candidate->metrics->difficulty),
                Criterion::Gain => $this->settings->gainBands->rising($clicks->gain),
                Criterion::Value => $this->settings->valueBands->rising($candidate->metrics->cpc),
                Criterion::Intent => self::INTENT_SCORES[$intent->value],
                Criterion::Fit => $candidate->judgement->fit ?? $this->settings->fits->fitOf($words, $candidate->topic),
            };
        }

        return Scores::of($scores);
    }
}
