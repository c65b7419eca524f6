<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

/** The comparison that a part belongs to is over: made without it, cancelled or broken off. */
final class PartCancelled extends \RuntimeException
{
}
