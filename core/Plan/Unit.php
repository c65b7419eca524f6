<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** What a piece of work serves: a topic, as the page that bears its keywords, or one keyword that a person plans by itself. */
enum Unit: string
{
    case Topic = 'topic';
    case Keyword = 'keyword';
}
