<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use Illuminate\Support\Facades\DB;

/** Deletes expired cache entries. */
final class PruneCache
{
    /** @return int how much went */
    public function execute(): int
    {
        return DB::delete('DELETE FROM cache WHERE expiration < ?', [now()->getTimestamp()]);
    }
}
