<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Tidy\PruneCache;
use App\Actions\Tidy\PruneSnapshots;
use App\Actions\Tidy\PruneStudies;
use App\Actions\Tidy\PruneTemporaryFiles;
use App\Actions\Tidy\PruneUploads;

final class TidyCommand extends ReachCommand
{
    protected $signature = 'reach:tidy';

    protected $description = 'Delete expired studies, files and leftovers for good; runs every hour';

    protected $help = 'Example: php artisan reach:tidy';

    public function handle(
        PruneStudies $studies,
        PruneUploads $uploads,
        PruneSnapshots $snapshots,
        PruneTemporaryFiles $sweep,
        PruneCache $remembered,
    ): int {
        $this->line(sprintf(
            'Deleted: %d studies, %d expired uploads, %d ranking lists, %d leftover files and folders, and %d '
                .'cached answers.',
            $studies->execute(),
            $uploads->execute(),
            $snapshots->execute(),
            $sweep->execute(),
            $remembered->execute(),
        ));

        return self::SUCCESS;
    }
}
