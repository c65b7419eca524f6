<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use Illuminate\Support\Facades\DB;

/** What was remembered for a time that is over leaves the database; nobody asks for most of it again. */
final class PruneCache
{
    /** @return int how much went */
    public function execute(): int
    {
        return DB::delete('DELETE FROM cache WHERE expiration < ?', [now()->getTimestamp()]);
    }
}
