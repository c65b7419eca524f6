<?php

declare(strict_types=1);

namespace App\Support\Sources;

/** A source that also knows when pages of a domain were written or improved, as a content system does. */
interface PublishingRecord
{
    /**
     * @return list<array{day: string, keyword: string, url: string}> day of the month in which it was published, the keyword that the page
     *     is for, its address; the earliest first
     *
     * @throws SourceProblem
     */
    public function publications(string $host, string $day): array;
}
