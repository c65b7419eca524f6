<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\Potential;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Winning\Outlook;

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
        $this->outlook = new Outlook($models->positions, $models->curve, $models->effects, $settings->movingShare);
        $this->tactics = new TacticRule($settings->shortTermChance);
    }

    public function weigh(Candidate $candidate): Opportunity
    {
        $position = $candidate->row->ownPosition();
        $metrics = $candidate->metrics;
        $left = $this->settings->featureClicks->shareLeft($candidate->features);
        $clicks = Potential::of($metrics->volume, $position, $this->target($candidate), $this->models->curve, $left);
        $linksToEarn = $this->models->links->toEarn($candidate->pageOneMedian, $metrics->difficulty, $candidate->ownPageLinks);
        $pageWork = $this->pageWork($candidate, $clicks, $linksToEarn, $left);
        $reachNow = $metrics->difficulty === null || $position === null
            ? null
            : $this->models->positions->chances($metrics->difficulty, $candidate->ground, $metrics->volume)->reach($position, $position);
        $title = $this->title($candidate, $left);
        $work = $this->chosen($pageWork, $title, $position, $reachNow);
        $words = Words::of($candidate->row->keyword);
        $intent = $candidate->judgement->intent ?? $this->settings->intents->intentIn($words, $candidate->features);
        $brands = $this->brands->domainsIn($candidate->row->keyword, $words);
        $worth = Effort::worth($work->expectedGain, $this->settings->effort->days($work->tactic->tactic));

        return new Opportunity(
            $candidate,
            $clicks,
            $work,
            $pageWork,
            $title,
            $reachNow,
            $linksToEarn,
            $intent,
            $this->horizons->of($position, $metrics->difficulty, $work->gain, $work->reach),
            $worth,
            $this->scores($candidate, $work, $worth, $intent, $words),
            $brands,
            $position !== 1 && $candidate->row->standing !== Standing::Unclaimed && ! BrandMatcher::isForeign($brands),
        );
    }

    private function target(Candidate $candidate): int
    {
        return $candidate->judgement->target
            ?? Potential::usualTarget($candidate->row->ownPosition(), $this->settings->target, $this->settings->targetNear);
    }

    private function pageWork(Candidate $candidate, Potential $clicks, ?int $linksToEarn, float $left): Work
    {
        $volume = $candidate->metrics->volume;
        $prospect = $this->outlook->of(
            $candidate->pageKind(),
            $candidate->row->ownPosition(),
            $clicks->target,
            $candidate->metrics->difficulty,
            $candidate->ground,
            $volume,
            $volume === null ? null : $volume * $left,
        );
        $tactic = $this->tactics->label($this->tactics->of($candidate), $linksToEarn, $prospect->reach);

        return new Work($tactic, $clicks->target, $clicks->gain, $prospect->winChance, $prospect->expectedGain, $prospect->reach);
    }

    private function title(Candidate $candidate, float $left): ?TitleTest
    {
        $position = $candidate->row->ownPosition();

        return TitleTest::of(
            $position,
            $candidate->metrics->volume,
            $candidate->measured,
            $position === null ? 0.0 : $left * $this->models->curve->at($position),
            $this->settings->titleSuccess,
            $this->settings->titleRatio,
        );
    }

    /** A title test where it is called for and a day of it is worth more. */
    private function chosen(Work $pageWork, ?TitleTest $title, ?int $position, ?float $reachNow): Work
    {
        $effort = $this->settings->effort;
        $isTest = $title !== null && $position !== null && $title->isCalledFor && TitleTest::isWorthMore(
            $title->expectedGain,
            $effort->days(Tactic::TestTitle),
            $pageWork->expectedGain,
            $effort->days($pageWork->tactic->tactic),
        );

        return $isTest
            ? new Work(
                TacticLabel::of(Tactic::TestTitle),
                $position,
                $title->gain,
                $this->settings->titleSuccess,
                $title->expectedGain,
                $reachNow,
            )
            : $pageWork;
    }

    /** @param list<string> $words */
    private function scores(Candidate $candidate, Work $work, ?float $worth, Intent $intent, array $words): Scores
    {
        return $this->scoring->of(
            $work->expectedGain,
            $candidate->metrics->volume,
            $candidate->metrics->difficulty,
            $work->gain,
            $worth,
            $candidate->metrics->cpc,
            $intent,
            $candidate->judgement->fit ?? $this->settings->fits->fitOf($words, $candidate->topic),
        );
    }
}
