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

    /** Why it was chosen, in words: the first rule that holds. */
    public function reason(): string
    {
        return match ($this) {
            self::MergePages => 'Two or more of our pages rank within 50 for this keyword and stand in each other\'s way.',
            self::ExtendPage => 'We do not rank within 50 here, but one of our pages does for another keyword of the topic.',
            self::NewPage => 'We do not rank within 50 for any keyword of the topic.',
            self::TestTitle => 'We are on page one but are clicked much less than the curve says for that position.',
            self::RefreshPage => 'We slipped by three positions or more since the snapshot before.',
            self::ImprovePage => 'We rank within 50 with one page, and nothing else stands out.',
        };
    }

    /** Key of the tactic in the rulebook: effort_new, ramp_new. */
    public function rulebookSuffix(): string
    {
        return explode(' ', $this->value)[0] === 'test' ? 'title' : explode(' ', $this->value)[0];
    }
}
