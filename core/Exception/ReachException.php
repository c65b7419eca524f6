<?php

declare(strict_types=1);

namespace GreaterReach\Core\Exception;

/** Marks every failure that the core names itself, so that callers can tell it from a defect. */
interface ReachException extends \Throwable
{
}
