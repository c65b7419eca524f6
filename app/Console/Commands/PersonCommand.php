<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\People\AccountChanges;
use App\Actions\People\PasswordLinks;
use App\Actions\People\SavePerson;
use App\Models\User;

final class PersonCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:person {email : Email address of the person}
        {--name= : Name, needed when new}
        {--editor=* : Study the person can edit; repeat for more}
        {--reader=* : Study the person can view}
        {--leave=* : Study to remove the person from}
        {--administrator= : yes or no; administrators can edit every study}
        {--link : Print a one-time link for choosing a password}
        {--new-password : Print a new password and end all sessions}
        {--remove : Delete the account; the person’s decisions stay}';

    protected $description = 'Create, change or delete an account';

    protected $help = 'Example: php artisan reach:person edda@thornfield-apiary.example --name="Edda Quill" --editor=bees';

    public function handle(SavePerson $save, PasswordLinks $links): int
    {
        $email = mb_strtolower($this->text('email', true));
        if ($this->option('remove') === true) {
            $save->remove($email);
            $this->line(sprintf('Deleted the account of %s.', $email));

            return self::SUCCESS;
        }
        $administrator = $this->optionalText('administrator') === null ? null : $this->oneOf('administrator', ['yes', 'no']) === 'yes';
        $roles = [
            ...array_fill_keys($this->texts('reader'), 'reader'),
            ...array_fill_keys($this->texts('editor'), 'editor'),
            ...array_fill_keys($this->texts('leave'), null),
        ];
        $password = $save->execute(
            new AccountChanges($email, $this->optionalText('name'), $administrator, $this->option('new-password') === true, $roles),
        );
        if ($this->option('link') === true) {
            $link = $links->make(User::query()->where('email', $email)->firstOrFail());
            $this->line(sprintf('%s chooses a password, once, at %s', $email, $link['address']));

            return self::SUCCESS;
        }
        $this->line(
            $password === null ? sprintf('%s is changed.', $email) : sprintf('%s signs in with the password %s', $email, $password),
        );

        return self::SUCCESS;
    }
}
