<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Actions\Plans\AddToPlan;
use App\Actions\Plans\ChangePlan;
use App\Actions\Plans\ProposePlan;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Texts;
use GreaterReach\Core\Plan\Month;

/** Plans the pages that are best by priority, as the auto-plan places them, and lets the first of them be under way. */
final readonly class PlanDemoPages
{
    private const PAGES = 24;
    private const UNDER_WAY = 12;
    private const MONTHS = 6;
    private const CAPACITY = 24.0;

    /** Of those under way so many are out already, and so many are late. */
    private const PUBLISHED = 3;
    private const LATE = 2;

    private const ANGLES = [
        'Written for the second-year beekeeper who knows the words but has not done it yet.',
        'Short, with the measurements first; most who ask stand in the workshop.',
        'Honest about what goes wrong in the first season, with our own photographs.',
    ];

    public function __construct(private AddToPlan $add, private ProposePlan $propose, private ChangePlan $change)
    {
    }

    public function execute(Study $study, Comparison $comparison, DemoPeople $people): void
    {
        $this->change->setFrame($study, Month::parse(now('UTC')->format('Y-m')), self::MONTHS, self::CAPACITY);
        $this->add->topics($study, Texts::list(array_keys(BestTopics::of($study, $comparison, self::PAGES))), $people->editor->id);
        $moves = [];
        foreach ($this->propose->execute($study)['changes'] as $change) {
            if ($change['item'] !== null) {
                $moves[$change['item']] = $change['to'];
            }
        }
        $this->change->apply($study, $moves, [], $people->administrator->id);
        /** @var list<PlanItem> $placed */
        $placed = PlanItem::of($study)->where('status', 'planned')->whereNotNull('month')->orderBy('month')->orderBy('id')
            ->limit(self::UNDER_WAY)->get()->all();
        foreach ($placed as $number => $item) {
            $this->begin($study, $item, $number, $people);
        }
    }

    private function begin(Study $study, PlanItem $item, int $number, DemoPeople $people): void
    {
        $owner = $people->turn($number);
        $due = $number < self::LATE ? now('UTC')->subWeeks(2) : now('UTC')->addWeeks(1 + $number);
        $this->change->change($study, $item->id, [
            'status' => $number >= self::LATE && $number < self::LATE + self::PUBLISHED ? 'published' : 'writing',
            'owner' => $owner->name,
            'due' => $due->toDateString(),
            'brief' => ['angle' => self::ANGLES[$number % \count(self::ANGLES)]],
        ], $item->version, $owner->id);
    }
}
