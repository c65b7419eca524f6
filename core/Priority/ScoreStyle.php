<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** How a figure becomes a score between its bounds. */
enum ScoreStyle: string
{
    /** In between, so that a little more counts a little more. */
    case Smooth = 'smooth';
    /** Whole points, as a table by hand has them. */
    case Stepped = 'stepped';
}
