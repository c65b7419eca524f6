<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Archive\ImportStudy;

final class TakeCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:take {file : An archive that reach:give wrote}
        {--name= : Short name of the study here, if not the one it had}';

    protected $description = 'Make a study out of the archive of another installation';

    protected $help = 'Example: php artisan reach:take /tmp/honey.tar --name=honey-2. Nobody but administrators sees it before they '
        .'are given a role (reach:person, or the page People). Take in only what comes from people you trust.';

    public function handle(ImportStudy $take): int
    {
        $study = $take->execute($this->text('file', true), $this->optionalText('name'));
        $this->line(sprintf('Study "%s" is here: %s.', $study->slug, $study->name));

        return self::SUCCESS;
    }
}
