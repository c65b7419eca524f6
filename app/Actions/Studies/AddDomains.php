<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Domains\ChooseDomainFigures;
use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Study;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;

/** Keeps many pasted domains as candidates, with figures from a source where there is one. */
final readonly class AddDomains
{
    private const MOST = 500;
    private const FIGURES = ['authority', 'referring_domains', 'backlinks'];

    public function __construct(private PublicSuffixList $suffixes, private Sources $sources, private ChooseDomainFigures $choose)
    {
    }

    /**
     * @param list<string> $lines one domain each
     *
     * @return int domains that are new
     *
     * @throws UserError|SourceProblem
     */
    public function execute(Study $study, array $lines, ?string $source): int
    {
        $added = 0;
        $spokenOf = [];
        foreach ($this->entries($lines) as $entry) {
            $known = $study->domains->contains(fn(Domain $domain): bool => $domain->toEntry($this->suffixes)->isSameAs($entry));
            if (!$known) {
                $figures = $source === null ? [] : $this->sources->get($source)->domain($entry->host) ?? [];
                $domain = Domain::query()->create([
                    'study_id' => $study->id,
                    'role' => Domain::CANDIDATE,
                    'place' => 0,
                    'entry' => $entry->label,
                    'scope' => $entry->scope,
                ]);
                if ($figures !== []) {
                    DomainFigure::query()->create([
                        'study_id' => $study->id,
                        'domain_id' => $domain->id,
                        'kind' => DomainFigure::PULLS,
                        'day' => now('UTC')->toDateString(),
                        ...array_intersect_key($figures, array_flip(self::FIGURES)),
                    ]);
                    $spokenOf[] = $domain->id;
                }
                ++$added;
            }
        }
        $this->choose->execute($study, $spokenOf);

        return $added;
    }

    /**
     * @param list<string> $lines
     *
     * @return list<DomainEntry>
     */
    private function entries(array $lines): array
    {
        $entries = [];
        foreach ($lines as $number => $line) {
            try {
                $entry = trim($line) === '' ? null : DomainEntry::of(trim($line), $this->suffixes);
            } catch (InvalidValue $problem) {
                $line = InvalidValue::quote($line);
                throw UserError::because('domains', sprintf('Line %d: "%s" %s.', $number + 1, $line, $problem->reason));
            }
            if ($entry !== null) {
                $entries[$entry->label] = $entry;
            }
        }

        return $entries === [] || \count($entries) > self::MOST
            ? throw UserError::because('domains', 'Enter 1 to 500 domains, one per line.')
            : array_values($entries);
    }
}
