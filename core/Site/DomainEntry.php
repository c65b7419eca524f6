<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

use GreaterReach\Core\Exception\InvalidValue;

/**
 * One domain of a study as a person gave it, with the scope it stands for.
 *
 * Unless a scope is said, a bare registrable domain means all its hosts, another host that host, a URL what lies below it.
 */
final readonly class DomainEntry
{
    private function __construct(
        /** As given, trimmed and lower-cased; heads the domain's column in exports. */
        public string $label,
        public Scope $scope,
        public string $host,
        /** Path of a prefix without its trailing slash, or the whole URL key of a page; otherwise empty. */
        public string $target,
        public string $registrableDomain,
    ) {
    }

    /** @throws InvalidValue */
    public static function of(string $given, PublicSuffixList $suffixes, ?Scope $scope = null): self
    {
        $text = trim($given);
        $isUrl = str_contains($text, '/');
        $url = UrlKey::of(preg_match('~^https?://~i', $text) === 1 ? $text : 'https://'.$text);
        $host = UrlKey::hostOf($url);
        $registrable = $suffixes->registrableDomain($host);
        if ($registrable === null) {
            throw InvalidValue::because('domain', $given, 'has no registrable domain. Use one such as thornfield-apiary.example');
        }
        $scope ??= $isUrl ? Scope::Prefix : ($host === $registrable ? Scope::Registrable : Scope::Host);

        return new self(mb_strtolower($text, 'UTF-8'), $scope, $host, self::target($scope, $url), $registrable);
    }

    /** Whether a page, given by its URL key, belongs to this entry. */
    public function covers(string $urlKey): bool
    {
        $host = UrlKey::hostOf($urlKey);

        return match ($this->scope) {
            Scope::Registrable => $host === $this->registrableDomain || str_ends_with($host, '.'.$this->registrableDomain),
            Scope::Host => $this->isSameHost($host),
            Scope::Prefix => $this->isSameHost($host) && $this->isBelow(UrlKey::pathOf($urlKey)),
            Scope::Page => $urlKey === $this->target,
        };
    }

    /** Two entries are the same when they cover the same pages, however they were written. */
    public function isSameAs(self $other): bool
    {
        return $this->scope === $other->scope && $this->target === $other->target
            && Host::withoutWww($this->host) === Host::withoutWww($other->host);
    }

    /** Whether every page of the other entry belongs to this one. */
    public function contains(self $other): bool
    {
        return match (true) {
            $this->scope === Scope::Registrable => $this->registrableDomain === $other->registrableDomain,
            $other->scope === Scope::Registrable => false,
            $this->scope === Scope::Host => $this->isSameHost($other->host),
            $other->scope === Scope::Page => $this->covers($other->target),
            default => $this->scope === Scope::Prefix && $this->isSameHost($other->host) && $this->isBelow($other->target),
        };
    }

    /** The name people know the domain by: the registrable domain's first label, hyphens as spaces. */
    public function name(): string
    {
        return str_replace('-', ' ', explode('.', $this->registrableDomain)[0]);
    }

    private function isSameHost(string $host): bool
    {
        return Host::withoutWww($host) === Host::withoutWww($this->host);
    }

    private function isBelow(string $path): bool
    {
        return $path === $this->target || $path === $this->target.'/' || str_starts_with($path, $this->target.'/');
    }

    private static function target(Scope $scope, string $url): string
    {
        return match ($scope) {
            Scope::Page => $url,
            Scope::Prefix => rtrim(UrlKey::pathOf($url), '/'),
            default => '',
        };
    }
}
