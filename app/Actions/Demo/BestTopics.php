<?php

declare(strict_types=1);

namespace App\Actions\Demo;

use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Rows\RankedTopics;
use App\Support\Sentence\Sentence;
use App\Support\Texts;

/** The pages of the ranked list that are best by priority and not on the roadmap. */
final class BestTopics
{
    /** @return array<string, string> topic → the keyword that leads it, the best first */
    public static function of(Study $study, Comparison $comparison, int $count): array
    {
        $there = PlanItem::of($study)->pluck('name')->flip()->all();
        $rulebook = $study->rulebook();
        $list = new RankedTopics($comparison, Sentence::parse('brands=hide'), $rulebook->fitGate());
        $page = $list->page($rulebook->priorities(), 0, $count + \count($there));
        $leads = array_combine(Texts::list(array_column($page, 'topic')), Texts::list(array_column($page, 'lead')));

        return \array_slice(array_diff_key($leads, $there), 0, $count);
    }
}
