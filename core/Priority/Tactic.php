<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** What to do about an opportunity. */
enum Tactic: string
{
    case NewPage = 'new page';
    case ExtendPage = 'extend page';
    case ImprovePage = 'improve page';
    case RefreshPage = 'refresh page';
    case MergePages = 'merge pages';
    case TestTitle = 'test title';

    /** Key of the tactic in the rulebook: effort_new, ramp_new. */
    public function rulebookSuffix(): string
    {
        return explode(' ', $this->value)[0] === 'test' ? 'title' : explode(' ', $this->value)[0];
    }
}
