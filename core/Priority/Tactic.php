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
            self::MergePages => 'Two or more of our pages rank within 50 for this keyword and compete with each other.',
            self::ExtendPage => 'We have a page for the topic, but we don’t rank within 50 for this keyword.',
            self::NewPage => 'None of our pages serves this topic.',
            self::TestTitle => 'We are on page one but get far fewer clicks than the CTR curve tells; a day on the title is worth more.',
            self::RefreshPage => 'We dropped by three positions or more since the previous snapshot.',
            self::ImprovePage => 'We rank within 50 with one page, and no other tactic applies.',
        };
    }

    /** Key of the tactic in the rulebook: effort_new, ramp_new. */
    public function rulebookSuffix(): string
    {
        return explode(' ', $this->value)[0] === 'test' ? 'title' : explode(' ', $this->value)[0];
    }
}
