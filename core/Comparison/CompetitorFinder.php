<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

/**
 * Finds candidates among domains by the keywords they share with us: in common, theirs that we lack, ours that they
 * lack. Most in common first; ties by the smaller number of keywords we lack, then by name.
 *
 * @phpstan-type Found array{domain: string, in_common: int, we_lack: int, they_lack: int, authority: ?float, is_peer: ?bool}
 */
final class CompetitorFinder
{
    /** @var array<string, int> */
    private array $common = [];

    /** @var array<string, int> */
    private array $theirs = [];

    private int $ours = 0;

    /** @param list<string> $domains that rank for the keyword, each once */
    public function add(array $domains, bool $weRank): void
    {
        $this->ours += $weRank ? 1 : 0;
        foreach ($domains as $domain) {
            $this->theirs[$domain] = ($this->theirs[$domain] ?? 0) + 1;
            $this->common[$domain] = ($this->common[$domain] ?? 0) + ($weRank ? 1 : 0);
        }
    }

    /**
     * @param array<string, float> $authorities as far as known
     *
     * @return list<Found> those with a keyword in common
     */
    public function candidates(array $authorities, ?float $ownAuthority, float $peerBand): array
    {
        $found = [];
        foreach (array_filter($this->common) as $domain => $common) {
            $authority = $authorities[$domain] ?? null;
            $found[] = [
                'domain' => (string) $domain,
                'in_common' => $common,
                'we_lack' => $this->theirs[$domain] - $common,
                'they_lack' => $this->ours - $common,
                'authority' => $authority,
                'is_peer' => $authority === null || $ownAuthority === null ? null : abs($authority - $ownAuthority) <= $peerBand,
            ];
        }
        usort(
            $found,
            static fn(array $a, array $b): int => $b['in_common'] <=> $a['in_common'] ?:
            $a['we_lack'] <=> $b['we_lack'] ?:
            strcmp($a['domain'], $b['domain']),
        );

        return $found;
    }
}
