<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Actions\Domains\ChooseDomainFigures;
use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Import;
use App\Support\Counted;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/**
 * Figures about domains: updates the study's own, keeps others as candidates, adds no competitor and reorders none.
 *
 * @phpstan-type DomainValues array{domain: string, brand_terms?: ?list<string>, authority?: ?float, referring_domains?: ?int}
 */
final class DomainsLoader implements Loader
{
    private const MOST = 10_000;

    private const FIGURES = ['authority', 'referring_domains', 'backlinks'];

    /** @var list<DomainValues> */
    private array $rows = [];

    public function __construct(
        private readonly ImportOptions $order,
        private readonly DomainFinder $domains,
        private readonly PublicSuffixList $suffixes,
        private readonly ChooseDomainFigures $choose,
    ) {
    }

    public static function tables(): array
    {
        return [];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement('CREATE TEMPORARY TABLE staged (line bigint) ON COMMIT DROP');
    }

    public function columns(): array
    {
        return ['line'];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var DomainValues $values */
        $text = $values['domain'];
        try {
            DomainEntry::of($text, $this->suffixes);
        } catch (InvalidValue $problem) {
            return new BadCell($line, 'domain', $text, $problem->reason.'.');
        }
        if (\count($this->rows) >= self::MOST) {
            return new BadCell($line, 'domain', $text, 'is over the limit of 10,000 domains per file.');
        }
        $this->rows[] = $values;

        return [$line];
    }

    public function settle(Import $import): array
    {
        $updated = $added = 0;
        $before = [];
        foreach ($this->rows as $row) {
            $targets = $this->targets($row['domain']);
            foreach ($targets as $domain) {
                $before[$domain->id] ??= $domain->only('brand_terms');
                $this->keep($import, $domain, $row);
                ++$updated;
            }
            if ($targets === []) {
                $candidate = $this->addCandidate($row['domain']);
                $before[$candidate->id] ??= null;
                $this->keep($import, $candidate, $row);
                ++$added;
            }
        }
        $this->choose->execute($this->order->study, array_keys($before));
        $import->update(['before' => $before]);

        return [sprintf('%s of the study updated, %d kept as candidates.', Counted::of($updated, 'domain'), $added)];
    }

    public function changes(Import $import): ?ChangeCounts
    {
        return null;
    }

    /**
     * The entry that means the same; else, for a bare registrable domain, every entry on that site.
     *
     * @return list<Domain>
     */
    private function targets(string $text): array
    {
        $same = $this->domains->find($text);
        if ($same !== null) {
            return [$same];
        }
        $wanted = DomainEntry::of($text, $this->suffixes);

        return array_values(
            $this->order->study->domains
                ->filter(
                    fn(Domain $domain): bool => $wanted->host === $wanted->registrableDomain &&
                        $this->domains->entry($domain->id)->registrableDomain === $wanted->registrableDomain,
                )
                ->all(),
        );
    }

    /**
     * What the row says stands beside what other sources say; brand terms belong to the domain itself.
     *
     * @param DomainValues $row
     */
    private function keep(Import $import, Domain $domain, array $row): void
    {
        if (isset($row['brand_terms'])) {
            $domain->update(['brand_terms' => $row['brand_terms']]);
        }
        DomainFigure::query()->create([
            'study_id' => $domain->study_id,
            'domain_id' => $domain->id,
            'import_id' => $import->id,
            'kind' => $this->order->origin,
            'day' => $this->order->day,
            ...array_intersect_key($row, array_flip(self::FIGURES)),
        ]);
    }

    private function addCandidate(string $text): Domain
    {
        $entry = DomainEntry::of($text, $this->suffixes);

        return Domain::query()->updateOrCreate(
            ['study_id' => $this->order->study->id, 'entry' => $entry->label],
            ['role' => Domain::CANDIDATE, 'place' => 0, 'scope' => $entry->scope],
        );
    }
}
