<?php

declare(strict_types=1);

namespace App\Actions\People;

/** What is wanted of one person's account; null leaves a thing as it is. */
final readonly class AccountChanges
{
    /**
     * @param array<string, ?string> $roles study's slug → editor or reader; null takes the person out of it
     */
    public function __construct(
        public string $email,
        public ?string $name = null,
        public ?bool $isAdministrator = null,
        public bool $wantsNewPassword = false,
        public array $roles = [],
        public ?bool $mayMakeStudies = null,
        public ?bool $isDisabled = null,
    ) {
    }
}
