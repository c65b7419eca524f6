<?php

declare(strict_types=1);

namespace GreaterReach\Core\Site;

/**
 * The rules of the Public Suffix List (ICANN and private sections), which tell the registrable domain of a host.
 *
 * Algorithm as published at publicsuffix.org: an exception rule wins, else the rule with the most labels; where none
 * matches the rule is `*`. The registrable domain is the public suffix and one label more.
 */
final class PublicSuffixList
{
    private const EXCEPTION = '!';

    /** @param array<string, true> $rules rule in ASCII form, exceptions with their leading `!` */
    private function __construct(private readonly array $rules)
    {
    }

    public static function fromText(string $list): self
    {
        $rules = [];
        foreach (explode("\n", $list) as $line) {
            $rule = strtok(trim($line), " \t");
            if ($rule !== false && ! str_starts_with($rule, '//')) {
                $rules[self::toAscii($rule)] = true;
            }
        }

        return new self($rules);
    }

    /** The registrable domain of a host in its ASCII form, or null when the host is itself a public suffix. */
    public function registrableDomain(string $host): ?string
    {
        $labels = explode('.', $host);
        if (\in_array('', $labels, true) || filter_var($host, FILTER_VALIDATE_IP) !== false) {
            return null;
        }
        $start = \count($labels) - $this->suffixLength($labels) - 1;

        return $start < 0 ? null : implode('.', \array_slice($labels, $start));
    }

    /** @param list<string> $labels */
    private function suffixLength(array $labels): int
    {
        $count = \count($labels);
        for ($from = 0; $from < $count; ++$from) {
            $tail = implode('.', \array_slice($labels, $from));
            if (isset($this->rules[self::EXCEPTION.$tail])) {
                return $count - $from - 1;
            }
            $wildcard = '*.'.implode('.', \array_slice($labels, $from + 1));
            if (isset($this->rules[$tail]) || isset($this->rules[$wildcard])) {
                return $count - $from;
            }
        }

        return 1;
    }

    private static function toAscii(string $rule): string
    {
        if (preg_match('/[^\x21-\x7e]/', $rule) !== 1) {
            return strtolower($rule);
        }
        $marked = str_starts_with($rule, self::EXCEPTION);

        return ($marked ? self::EXCEPTION : '').implode('.', array_map(
            static fn(string $label): string => $label === '*' ? '*' : Host::of($label),
            explode('.', $marked ? substr($rule, 1) : $rule),
        ));
    }
}
