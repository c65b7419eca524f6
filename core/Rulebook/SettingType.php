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
    /** Five bounds of a difficulty. */
    case Ease = 'ease';
    /** Names, each with a share between 0 and 1. */
    case Shares = 'shares';
    case Curve = 'curve';
    case Words = 'words';
    case Ordering = 'ordering';
    case Weights = 'weights';
    case Fits = 'fits';
}
