<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Findings\FindingsQuery;
use App\Actions\Pulls\PullOptions;
use App\Actions\Pulls\PullStudy;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Sources\PublishingRecord;
use App\Support\Sources\RankingSource;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use Illuminate\Support\Sleep;

/** Makes the demo study, pulled from the stand-in as any study is pulled from its source. */
final readonly class LoadDemo
{
    public const SLUG = 'thornfield';
    private const MONTHS = 12;
    private const DOMAIN = 'thornfield-apiary.example';
    private const COMPETITORS = [
        'hivewright.example',
        'meadowcomb.example',
        'skepandsmoker.example',
        'first-swarm.example',
        'gardenalmanac.example',
    ];

    /** Sentences that its people have kept: name → sentence. */
    private const LENSES = [
        'Spring, within reach' => 'own>=4;own<=20;volume>=100;chance>=0.2;brands=hide',
        'Queen rearing that we lack' => 'standing=gap;text=queen;brands=hide',
    ];

    /** How often a pull that breaks off is taken up again, and after how many seconds. */
    private const TRIES = 5;
    private const PAUSE = 5;

    public function __construct(
        private SaveStudy $save,
        private InvitePeople $people,
        private PullStudy $pull,
        private EnsureComparison $ensure,
        private Sources $sources,
        private FinishDemoPages $finish,
        private PlanDemoPages $plan,
        private MakeDemoDecisions $decide,
        private FindingsQuery $findings,
    ) {
    }

    /** Whether all of it is there. One that an earlier version made, without work and without lenses, stays as it is. */
    public function isWhole(): bool
    {
        $study = Study::query()->where('slug', self::SLUG)->whereNotNull('comparison_id')->first();

        return $study !== null && ($study->lenses()->doesntExist() || MakeDemoDecisions::isDone($study));
    }

    /**
     * @param \Closure(string, int, int): void     $tell told what is being done, parts done, parts in all
     * @param \Closure(array<string, string>): void $meet told at once who was given an account: address → password
     *
     * @throws SourceProblem when the source does not answer, however often it is asked
     */
    public function execute(string $source, \Closure $tell, \Closure $meet): Study
    {
        $draft = new StudyDraft(self::SLUG, 'Thornfield Apiary', self::DOMAIN, self::COMPETITORS, 'GB', 'en', 'desktop');
        $study = $this->save->execute($draft)->study;
        $meet($this->people->execute($study));
        foreach (self::LENSES as $name => $show) {
            $study->lenses()->firstOrCreate(['name' => $name], ['show' => $show, 'user_id' => DemoPeople::find()->editor->id]);
        }
        if ($study->comparison_id === null) {
            $this->pull($study->load('domains'), $source, $tell);
        }
        $this->work($study, $this->sources->get($source), $tell);

        return $study;
    }

    /**
     * What people have done with it: each part is left out where it is there already.
     *
     * @param \Closure(string, int, int): void $tell
     */
    private function work(Study $study, RankingSource $source, \Closure $tell): void
    {
        $people = DemoPeople::find();
        if ($source instanceof PublishingRecord) {
            $tell('comparing earlier months', 1, 3);
            $this->finish->execute($study->refresh()->load('domains'), $source, $people);
        }
        $tell('comparing and weighing', 2, 3);
        $comparison = $this->ensure->execute(ComparisonOptions::shownBy($study->refresh()));
        $study->refresh()->load('domains');
        $tell('making decisions and a plan', 3, 3);
        if (PlanItem::of($study)->where('status', '!=', 'done')->doesntExist()) {
            $this->plan->execute($study, $comparison, $people);
        }
        $this->decide->execute($study, $comparison, $people);
        $this->findings->execute($study->load('comparison'));
    }

    /**
     * A pull goes on from where it broke off, so that on a slow machine it comes to its end sooner or later.
     *
     * @param \Closure(string, int, int): void $tell
     */
    private function pull(Study $study, string $source, \Closure $tell): void
    {
        for ($try = 1;; ++$try) {
            try {
                $this->pull->execute(new PullOptions($study, $source, null, self::MONTHS), $tell);

                return;
            } catch (SourceProblem $problem) {
                if ($try === self::TRIES) {
                    throw $problem;
                }
                Sleep::for(self::PAUSE)->seconds();
            }
        }
    }
}
