<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

/** The stop words of one language, from a published list that stands outside the core. */
interface StopWords
{
    /**
     * @param list<string> $words lower-case, each at most once
     *
     * @return array<string, true> those that are stop words
     */
    public function among(array $words): array;
}
