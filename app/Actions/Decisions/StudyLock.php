<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use Illuminate\Support\Facades\DB;

/**
 * Decisions on one study are saved one after the other: each also rewrites rows of topics that other decisions touch, so that two at once,
 * in whatever order of keywords, would wait for each other.
 */
final class StudyLock
{
    private const AREA = 7103;

    /** Until the transaction ends. */
    public static function take(Study $study): void
    {
        DB::selectOne('SELECT pg_advisory_xact_lock(?, ?)', [self::AREA, $study->id]);
    }
}
