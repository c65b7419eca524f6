<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Studies\DeleteStudy;
use App\Actions\Studies\SavedStudy;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\User;
use App\Support\Counted;

final class StudyCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:study {slug : Short name of the study}
        {--name= : Full name}
        {--domain= : Our domain}
        {--competitor=* : A competitor; repeat for more, in order}
        {--country= : Two letters, GB by default}
        {--language= : Two letters, en by default}
        {--device= : desktop or mobile, desktop by default}
        {--delete : Delete it; it can be restored for 30 days}
        {--restore : Restore it}
        {--editor= : Email of a person who can edit it; only administrators see it otherwise}';

    protected $description = 'Create or change a study';

    protected $help = 'Example: php artisan reach:study bees --name="Bees" --domain=thornfield-apiary.example '
        .'--competitor=hivewright.example';

    public function handle(SaveStudy $save, DeleteStudy $delete): int
    {
        if ($this->option('delete') === true || $this->option('restore') === true) {
            return $this->putAway($delete, $this->option('delete') === true);
        }
        $competitors = $this->texts('competitor');
        $editor = $this->editor();
        $saved = $save->execute(
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
        if ($editor !== null) {
            $saved->study->members()->syncWithoutDetaching([$editor->id => ['role' => 'editor']]);
        }
        $this->tell($saved);

        return self::SUCCESS;
    }

    private function putAway(DeleteStudy $delete, bool $isDeleted): int
    {
        $slug = $this->text('slug', true);
        $study = ($isDeleted ? Study::query() : Study::onlyTrashed())->where('slug', $slug)->first()
            ?? throw UserError::because('slug', sprintf('No %sstudy is called "%s".', $isDeleted ? '' : 'deleted ', $slug));
        if ($isDeleted) {
            $gone = $delete->execute($study, $study->name, null);
            $this->line(sprintf('Study "%s" is deleted. Restore it with --restore until %s.', $slug, $gone->toDateString()));
        } else {
            $delete->restore($study);
            $this->line(sprintf('Study "%s" is back.', $slug));
        }

        return self::SUCCESS;
    }

    private function tell(SavedStudy $saved): void
    {
        $study = $saved->study;
        $compared = $study->comparedDomains();
        $this->line(
            sprintf(
                'Study "%s": %s against %s in %s/%s/%s.',
                $study->slug,
                $compared[0]->entry,
                Counted::of(count($compared) - 1, 'competitor'),
                $study->country,
                $study->language,
                $study->device,
            ),
        );
        foreach ($saved->notes as $note) {
            $this->line($note);
        }
        if ($study->members()->doesntExist()) {
            $this->line(
                'Only administrators can see it. Give others access with --editor, or with reach:person EMAIL --editor='
                    .$study->slug.'.',
            );
        }
    }

    private function editor(): ?User
    {
        $email = $this->optionalText('editor');

        return $email === null ? null : User::query()->where('email', $email)->first()
            ?? throw UserError::because('editor', sprintf('No account has the address "%s". Create it with reach:person first.', $email));
    }
}
