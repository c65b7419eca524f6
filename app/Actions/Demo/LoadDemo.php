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
use App\Models\User;
use App\Support\Sources\SourceProblem;

/** Makes the demo study, pulled from the stand-in as any study is pulled from its source. */
final readonly class LoadDemo
{
    public const SLUG = 'thornfield';
    public const PASSWORD = 'smoke-and-honey';
    private const MONTHS = 12;
    private const DOMAIN = 'thornfield-apiary.example';
    private const COMPETITORS = ['hivewright.example', 'meadowcomb.example', 'skepandsmoker.example', 'first-swarm.example', 'gardenalmanac.example'];

    /** Name → email, role in the demo study, administrator or not. */
    private const PEOPLE = [
        'Edda Quill' => ['editor@thornfield-apiary.example', 'editor', false],
        'Rowan Sedge' => ['reader@thornfield-apiary.example', 'reader', false],
        'Avis Thorne' => ['admin@thornfield-apiary.example', 'editor', true],
    ];

    public function __construct(private SaveStudy $save, private PullStudy $pull, private EnsureComparison $ensure)
    {
    }

    /**
     * @param \Closure(string, int, int): void $tell told what is being done, parts done, parts in all
     *
     * @throws SourceProblem
     */
    public function execute(string $source, \Closure $tell): Study
    {
        $study = $this->save->execute(new StudyDraft(self::SLUG, 'Thornfield Apiary', self::DOMAIN, self::COMPETITORS, 'GB', 'en', 'desktop'));
        $this->invite($study);
        $this->pull->execute(new PullOrder($study->load('domains'), $source, null, self::MONTHS), $tell);
        $tell('comparing and weighing', 1, 1);
        $this->ensure->execute(ComparisonOrder::shownBy($study->refresh()));

        return $study;
    }

    private function invite(Study $study): void
    {
        foreach (self::PEOPLE as $name => [$email, $role, $isAdministrator]) {
            $user = User::query()->firstOrCreate(['email' => $email], ['name' => $name, 'password' => self::PASSWORD, 'is_administrator' => $isAdministrator]);
            $study->members()->syncWithoutDetaching([$user->id => ['role' => $role]]);
        }
    }
}
