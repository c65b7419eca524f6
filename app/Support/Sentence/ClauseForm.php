<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/** What kind of thing a clause says, which decides how it reads and with what it is edited. */
enum ClauseForm: string
{
    /** From and to a number, unknown left out. */
    case Range = 'range';
    /** One or more of some values. */
    case Choices = 'choices';
    /** Just one of some values. */
    case Choice = 'choice';
    /** How many competitors, within what. */
    case Competitors = 'competitors';
    /** A position, or absent. */
    case Position = 'position';
    /** Plain words, and those that must not be there. */
    case Words = 'words';
    /** A text of a person's own. */
    case Text = 'text';
    /** Tags given by people. */
    case Tags = 'tags';
    /** A day from which on. */
    case Day = 'day';
    /** Numbers of compared domains, 0 for ours. */
    case Domains = 'domains';
    /** An exact combination of domains as a sum of powers of two. */
    case Combination = 'combination';
    /** The address of a page. */
    case Page = 'page';
    /** The name of a topic. */
    case Topic = 'topic';

    /** @return non-empty-list<string> */
    public function operators(): array
    {
        return match ($this) {
            self::Range, self::Competitors, self::Position => ['>=', '<=', '='],
            self::Day => ['>='],
            default => ['='],
        };
    }
}
