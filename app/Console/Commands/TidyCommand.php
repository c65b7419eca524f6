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

    protected $description = 'Take away for good what was deleted long ago, and what work that was cut off has left; done every hour';

    protected $help = 'Example: php artisan reach:tidy';

    public function handle(
        PruneStudies $studies,
        PruneUploads $uploads,
        PruneSnapshots $snapshots,
        PruneTemporaryFiles $sweep,
        PruneCache $remembered,
    ): int {
        $this->line(sprintf(
            'Gone for good: %d studies, %d files that waited too long, %d ranking lists, %d files and folders that nothing knew, and %d '
                .'answers remembered for long enough.',
            $studies->execute(),
            $uploads->execute(),
            $snapshots->execute(),
            $sweep->execute(),
            $remembered->execute(),
        ));

        return self::SUCCESS;
    }
}
