<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Archive\ExportStudy;

final class GiveCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:give {slug : Short name of the study} {file : Where the archive is written, such as /tmp/study.tar}';

    protected $description = 'Write one whole study into a file that another installation takes in with reach:take';

    protected $help = 'Example: php artisan reach:give honey /tmp/honey.tar. What is worked out is not in it, for it is worked out anew; '
        .'files that wait, people and their roles, and links for writers are not in it either.';

    public function handle(ExportStudy $give): int
    {
        $manifest = $give->execute($this->study(), $this->text('file', true));
        $this->line(sprintf('%s: %d rows of %d tables.', $this->text('file', true), array_sum($manifest->rows), \count($manifest->rows)));

        return self::SUCCESS;
    }
}
