<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** What a cell of a field may hold. */
enum FieldType
{
    case Keyword;
    case Url;
    case Domain;
    case Text;
    case BrandTerms;
    case Date;
    case Channel;
    /** Yes or no. */
    case Flag;
    /** A result position: whole, from 1. */
    case Position;
    /** Whole and at least 0. */
    case Count;
    /** 0…100, decimals allowed. */
    case Share;
    /** At least 0, decimals allowed. */
    case Amount;

    public function isNumeric(): bool
    {
        return \in_array($this, [self::Position, self::Count, self::Share, self::Amount], true);
    }

    public function isWhole(): bool
    {
        return $this === self::Position || $this === self::Count;
    }
}
