<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

/** The shapes a setting can have. */
enum SettingType: string
{
    case Integer = 'integer';
    case Number = 'number';
    case Choice = 'choice';
    case Bands = 'bands';
    case Curve = 'curve';
    case Words = 'words';
    case Ordering = 'ordering';
    case Weights = 'weights';
    case Fits = 'fits';
}
