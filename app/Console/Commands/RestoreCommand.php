<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Backup\RestoreBackup;

final class RestoreCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:restore {file : A backup that reach:backup wrote}
        {--keep= : Where what stands here now is written first; needed where there are studies}';

    protected $description = 'Put a backup in the place of all that is kept here, and check that all of it came back';

    protected $help = 'Example: php artisan reach:restore /backup/reach.tar --keep=/backup/before.tar. Stop the workers first.';

    public function handle(RestoreBackup $restore): int
    {
        $manifest = $restore->execute($this->text('file', true), $this->optionalText('keep'));
        $this->call('migrate', ['--force' => true, '--quiet' => true]);
        $this->line(sprintf('The backup of %s is back: %d rows of %d tables.', ...[
            $manifest->madeAt,
            array_sum($manifest->rows),
            \count($manifest->rows),
        ]));

        return self::SUCCESS;
    }
}
