<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\UrlKey;

/** Which pages of page one an own page has to beat: those of others, best first. A page of our own is never one of them. */
final class LeadingPages
{
    /**
     * @param iterable<string> $urls of page one, best position first
     *
     * @return list<string>
     */
    public static function of(iterable $urls, DomainEntry $own): array
    {
        $theirs = [];
        foreach ($urls as $url) {
            if (! $own->covers(UrlKey::of($url))) {
                $theirs[] = $url;
            }
        }

        return $theirs;
    }
}
