<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\People\AccountChanges;
use App\Actions\People\PasswordLinks;
use App\Actions\People\SavePerson;
use App\Models\User;

final class PersonCommand extends ReachCommand implements RecordsAudit
{
    protected $signature = 'reach:person {email : Address that the person signs in with}
        {--name= : Name, needed when new}
        {--editor=* : Study that the person may change; give the option once for each}
        {--reader=* : Study that the person may see}
        {--leave=* : Study that the person leaves}
        {--administrator= : yes or no; administrators see and change every study}
        {--link : Print a link, good once, by which the person chooses a password}
        {--new-password : Print a new password and end everything that is signed in}
        {--remove : Take the account away; what the person decided stays}';

    protected $description = 'Make, change or take away a person\'s account';

    protected $help = 'Example: php artisan reach:person edda@thornfield-apiary.example --name="Edda Quill" --editor=bees';

    public function handle(SavePerson $save, PasswordLinks $links): int
    {
        $email = mb_strtolower($this->text('email', true));
        if ($this->option('remove') === true) {
            $save->remove($email);
            $this->line(sprintf('The account of %s is gone.', $email));

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
