<?php

declare(strict_types=1);

namespace App\Actions\Studies;

/** What a person says about a study; null leaves things as they are. */
final readonly class StudyDraft
{
    /** @param ?list<string> $competitors as listed; an empty list drops all */
    public function __construct(
        public string $slug,
        public ?string $name = null,
        public ?string $domain = null,
        public ?array $competitors = null,
        public ?string $country = null,
        public ?string $language = null,
        public ?string $device = null,
        /** YYYY-MM-DD, or empty for the newest. */
        public ?string $asOf = null,
    ) {
    }
}
