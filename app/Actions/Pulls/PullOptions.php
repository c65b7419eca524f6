<?php

declare(strict_types=1);

namespace App\Actions\Pulls;

use App\Models\Domain;
use App\Models\Study;

/** What is to be pulled from a source. */
final readonly class PullOptions
{
    public function __construct(
        public Study $study,
        public string $source,
        /** YYYY-MM-DD: the newest rankings on or before it; null takes the newest there are. */
        public ?string $date = null,
        /** How many snapshots back, the one of the date included. */
        public int $snapshots = 1,
        /** Only this domain of the study; null takes all compared ones. */
        public ?Domain $domain = null,
        public ?int $userId = null,
    ) {
    }

    /** @return list<Domain> */
    public function domains(): array
    {
        return $this->domain === null ? $this->study->comparedDomains() : [$this->domain];
    }

    /** The same order again goes on where this one broke off. */
    public function key(): string
    {
        return substr(
            hash(
                'sha256',
                json_encode(
                    [
                        $this->study->id,
                        $this->source,
                        $this->date,
                        $this->snapshots,
                        array_map(static fn(Domain $domain): string => $domain->entry, $this->domains()),
                    ],
                    JSON_THROW_ON_ERROR,
                ),
            ),
            0,
            24,
        );
    }
}
