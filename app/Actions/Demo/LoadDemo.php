<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Comparisons\ComparisonOrder;
use App\Actions\Comparisons\EnsureComparison;
use App\Actions\Pulls\PullOrder;
use App\Actions\Pulls\PullStudy;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Models\Study;
use App\Support\Sources\SourceProblem;
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

    /** How often a pull that breaks off is taken up again, and after how many seconds. */
    private const TRIES = 5;
    private const PAUSE = 5;

    public function __construct(
        private SaveStudy $save,
        private InvitePeople $people,
        private PullStudy $pull,
        private EnsureComparison $ensure,
    ) {
    }

    /** Whether all of it is there. */
    public function isWhole(): bool
    {
        return Study::query()->where('slug', self::SLUG)->whereNotNull('comparison_id')->exists();
    }

    /**
     * @param \Closure(string, int, int): void     $tell told what is being done, parts done, parts in all
     * @param \Closure(array<string, string>): void $meet told at once who was given an account: address → password
     *
     * @throws SourceProblem when the source does not answer, however often it is asked
     */
    public function execute(string $source, \Closure $tell, \Closure $meet): Study
    {
        $study = $this->save->execute(
            new StudyDraft(self::SLUG, 'Thornfield Apiary', self::DOMAIN, self::COMPETITORS, 'GB', 'en', 'desktop'),
        );
        $meet($this->people->execute($study));
        $this->pull($study->load('domains'), $source, $tell);
        $tell('comparing and weighing', 1, 1);
        $this->ensure->execute(ComparisonOrder::shownBy($study->refresh()));

        return $study;
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
                $this->pull->execute(new PullOrder($study, $source, null, self::MONTHS), $tell);

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
