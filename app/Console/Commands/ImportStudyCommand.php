<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Archive\ImportStudy;

final class ImportStudyCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:take {file : A file from reach:give}
        {--name= : Short name of the new study; the original one by default}';

    protected $description = 'Import a study from another installation';

    protected $help = 'Example: php artisan reach:take /tmp/honey.tar --name=honey-2. Only administrators see it until others '
        .'get a role (reach:person, or the People page). Only import archives from people you trust.';

    public function handle(ImportStudy $take): int
    {
        $study = $take->execute($this->text('file', true), $this->optionalText('name'));
        $this->line(sprintf('Study "%s" is here: %s.', $study->slug, $study->name));

        return self::SUCCESS;
    }
}
