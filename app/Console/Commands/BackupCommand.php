<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Backup\CreateBackup;

final class BackupCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:backup {file : Where the backup is written, such as /backup/reach-2026-11-26.tar}';

    protected $description = 'Back up all data to one file while people keep working';

    protected $help = 'Example: php artisan reach:backup /backup/reach.tar. The settings (.env) are not included: keep them, and the '
        .'key in them, in another place.';

    public function handle(CreateBackup $backup): int
    {
        $path = $this->text('file', true);
        $manifest = $backup->execute($path);
        $this->line(sprintf('%s: %d rows of %d tables, %d pending files.', $path, ...[
            array_sum($manifest->rows),
            \count($manifest->rows),
            \count($manifest->uploads ?? []),
        ]));

        return self::SUCCESS;
    }
}
