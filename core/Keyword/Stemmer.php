<?php

declare(strict_types=1);

namespace GreaterReach\Core\Keyword;

/** Word stems of one language (Snowball), provided from outside so that no stemmer is written by hand. */
interface Stemmer
{
    /**
     * @param list<string> $words lower-case, each at most once
     *
     * @return array<string, string> word → stem, every given word present
     */
    public function stems(array $words): array;
}
