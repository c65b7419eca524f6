<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;

final class StudyCommand extends ReachCommand
{
    protected $signature = 'reach:study {slug : Short name of the study}
        {--name= : Full name}
        {--domain= : Our domain}
        {--competitor=* : A competitor; give the option once for each, in order}
        {--country= : Two letters, GB when new}
        {--language= : Two letters, en when new}
        {--device= : desktop or mobile, desktop when new}';

    protected $description = 'Make a study, or change one';

    protected $help = 'Example: php artisan reach:study bees --name="Bees" --domain=thornfield-apiary.example '
        .'--competitor=hivewright.example';

    public function handle(SaveStudy $save): int
    {
        $competitors = $this->texts('competitor');
        $study = $save->execute(
            new StudyDraft(
                $this->text('slug', true),
                $this->optionalText('name'),
                $this->optionalText('domain'),
                $competitors === [] ? null : $competitors,
                $this->optionalText('country'),
                $this->optionalText('language'),
                $this->optionalText('device'),
            ),
        );
        $compared = $study->comparedDomains();
        $this->line(
            sprintf(
                'Study "%s": %s against %d competitors in %s/%s/%s.',
                $study->slug,
                $compared[0]->entry,
                count($compared) - 1,
                $study->country,
                $study->language,
                $study->device,
            ),
        );

        return self::SUCCESS;
    }
}
