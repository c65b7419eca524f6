<?php

declare(strict_types=1);

namespace GreaterReach\Core\Pages;

/** Why a search engine does not show a page: by its HTTP status (RFC 9110, section 15) and whether it may be indexed. */
enum PageTrouble: string
{
    case Redirects = 'redirects';
    case Missing = 'missing';
    case Failing = 'failing';
    case NotIndexable = 'not_indexable';

    private const FIRST_STATUS = 100;
    private const LAST_STATUS = 599;

    public static function isStatus(int $status): bool
    {
        return $status >= self::FIRST_STATUS && $status <= self::LAST_STATUS;
    }

    /** Null where nothing known speaks against the page. */
    public static function of(?int $status, ?bool $isIndexable): ?self
    {
        return match (true) {
            $status !== null && $status >= 500 => self::Failing,
            $status !== null && $status >= 400 => self::Missing,
            $status !== null && $status >= 300 => self::Redirects,
            $isIndexable === false => self::NotIndexable,
            default => null,
        };
    }

    /** A sentence about the page, for the people who plan work on it. */
    public function sentence(): string
    {
        return match ($this) {
            self::Redirects => 'This page redirects to another. Plan the work for the page it leads to.',
            self::Missing => 'This page no longer exists. Restore it or redirect it first.',
            self::Failing => 'This page answers with a server error. Fix that first.',
            self::NotIndexable => 'Search engines may not index this page. Allow it first.',
        };
    }
}
