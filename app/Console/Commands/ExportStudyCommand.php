<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Archive\ExportStudy;

final class ExportStudyCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:give {slug : Short name of the study} {file : Where the archive is written, such as /tmp/study.tar}';

    protected $description = 'Export a whole study to a file for reach:take';

    protected $help = 'Example: php artisan reach:give honey /tmp/honey.tar. Comparisons are not included: they are made again. '
        .'Pending files, people, roles and writers’ links are not included either.';

    public function handle(ExportStudy $give): int
    {
        $manifest = $give->execute($this->study(), $this->text('file', true));
        $this->line(sprintf('%s: %d rows of %d tables.', $this->text('file', true), array_sum($manifest->rows), \count($manifest->rows)));

        return self::SUCCESS;
    }
}
