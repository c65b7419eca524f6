<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Tidy\ForgetStudies;
use App\Actions\Tidy\SweepFolders;

final class TidyCommand extends ReachCommand
{
    protected $signature = 'reach:tidy';

    protected $description = 'Take away for good what was deleted long ago, and what work that was cut off has left; done every hour';

    protected $help = 'Example: php artisan reach:tidy';

    public function handle(ForgetStudies $forget, SweepFolders $sweep): int
    {
        $studies = $forget->execute();
        $this->line(sprintf('%d studies are gone for good, and %d files and folders that nothing knew.', $studies, $sweep->execute()));

        return self::SUCCESS;
    }
}
