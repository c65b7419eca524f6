<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** The domain that the name of a file tells: as it is written, or in short. */
final readonly class FileDomain
{
    private const OURS = 'ours?|own|us';

    private function __construct(
        /** As the study has it. */
        public string $domain,
        /** As the name has it. */
        public string $written,
    ) {
    }

    /**
     * Written out, where a slash may be a hyphen; of several the longest.
     *
     * @param list<string> $domains of the study
     */
    public static function in(string $fileName, array $domains): ?self
    {
        usort($domains, static fn(string $one, string $other): int => \strlen($other) <=> \strlen($one));
        foreach ($domains as $domain) {
            $written = str_replace('/', '-', $domain);
            if (str_contains(mb_strtolower($fileName, 'UTF-8'), $written)) {
                return new self($domain, $written);
            }
        }

        return null;
    }

    /**
     * In short: a word for ours, or the first label of just one of the domains.
     *
     * @param list<string> $domains ours first
     */
    public static function inShort(string $fileName, array $domains): ?self
    {
        $named = [];
        foreach ($domains as $place => $domain) {
            $label = preg_quote(strtok($domain, '.') ?: $domain, '/');
            $words = $place === 0 ? self::OURS.'|'.$label : $label;
            if (preg_match("/(?<![\\p{L}\\d])({$words})(?![\\p{L}\\d])/ui", $fileName, $found) === 1) {
                $named[] = new self($domain, $found[1]);
            }
        }

        return \count($named) === 1 ? $named[0] : null;
    }
}
