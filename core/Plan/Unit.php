<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/**
 * What a piece of work serves: a topic, as the page that bears its keywords; one keyword that a person plans by itself; or links for the
 * page of a topic, which have days of work and no forecast.
 */
enum Unit: string
{
    case Topic = 'topic';
    case Keyword = 'keyword';
    case Links = 'links';
}
