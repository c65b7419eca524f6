<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\HasProblemFields;
use App\Exceptions\ProblemCode;
use GreaterReach\Core\Exception\ReachException;

/** An import whose rows were not good enough to keep any; carries the report of the bad ones. */
final class ImportFailed extends \RuntimeException implements ReachException, HasProblemFields
{
    private function __construct(public readonly BadRows $badRows, string $message)
    {
        parent::__construct($message);
    }

    public function problemCode(): ProblemCode
    {
        return ProblemCode::RowsNotRight;
    }

    public function more(): array
    {
        return ['bad_rows' => $this->badRows];
    }

    public static function with(BadRows $badRows): self
    {
        $first = $badRows->first();
        $others = $badRows->total() - 1;

        return new self($badRows, 'Nothing was imported; '.$first.($others > 0 ? " (and {$others} more bad rows)" : ''));
    }
}
