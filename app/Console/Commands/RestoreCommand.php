<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Backup\RestoreBackup;

final class RestoreCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:restore {file : A file from reach:backup}
        {--keep= : Where to back up the current data first; required if there are studies}';

    protected $description = 'Replace all data with a backup and check that it is complete';

    protected $help = 'Example: php artisan reach:restore /backup/reach.tar --keep=/backup/before.tar. Stop the workers first.';

    public function handle(RestoreBackup $restore): int
    {
        $manifest = $restore->execute($this->text('file', true), $this->optionalText('keep'));
        $this->call('migrate', ['--force' => true, '--quiet' => true]);
        $this->line(sprintf('Restored the backup of %s: %d rows of %d tables.', ...[
            $manifest->madeAt,
            array_sum($manifest->rows),
            \count($manifest->rows),
        ]));

        return self::SUCCESS;
    }
}
