<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Tabular\TableFile;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileProblem;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\UrlKey;

/** Proposes what a file is from its name, its header and its first rows: its kind, its domain, its day. */
final readonly class ProposeImport
{
    private const LOOKED_AT = 60;

    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /** @return array{kind: string, domain: string, date: string, channel: string} empty text where nothing tells */
    public function execute(Study $study, string $fileName, TableFile $table): array
    {
        $kind = ImportKind::guess($table->headers(), $fileName);

        return [
            'kind' => $kind->value,
            'domain' => $kind === ImportKind::Rankings ? $this->domain($study, $fileName, $table) : '',
            'date' => preg_match('/(?<!\d)\d{4}-\d{2}-\d{2}(?!\d)/', $fileName, $day) === 1 ? $day[0] : '',
            'channel' => preg_match('/(?<![a-z])paid(?![a-z])/i', $fileName) === 1 ? 'paid' : 'organic',
        ];
    }

    private function domain(Study $study, string $fileName, TableFile $table): string
    {
        $entries = array_map(static fn(Domain $domain): string => $domain->entry, array_values($study->domains->all()));
        usort($entries, static fn(string $one, string $other): int => \strlen($other) <=> \strlen($one));
        foreach ($entries as $entry) {
            if (str_contains(mb_strtolower($fileName), str_replace('/', '-', $entry))) {
                return $entry;
            }
        }

        return $this->commonestDomain($study, $table);
    }

    /** Of the first rows' addresses; none where the rows name their domain themselves. */
    private function commonestDomain(Study $study, TableFile $table): string
    {
        try {
            $plan = ColumnPlan::match(ImportKind::Rankings, $table->headers());
        } catch (FileProblem) {
            return '';
        }
        $column = array_search('url', array_map(static fn(Field $field): string => $field->name, $plan->columns), true);
        if ($column === false || $plan->has('domain')) {
            return '';
        }
        $entries = array_map(fn(Domain $domain): DomainEntry => $domain->toEntry($this->suffixes), $study->domains->all());
        $counts = [];
        $looked = 0;
        foreach ($table->rows() as $cells) {
            foreach (self::covering($entries, (string) ($cells[$column] ?? '')) as $label) {
                $counts[$label] = ($counts[$label] ?? 0) + 1;
            }
            if (++$looked === self::LOOKED_AT) {
                break;
            }
        }
        arsort($counts);

        return array_key_first($counts) ?? '';
    }

    /**
     * @param array<DomainEntry> $entries
     *
     * @return list<string>
     */
    private static function covering(array $entries, string $address): array
    {
        try {
            $url = UrlKey::of(trim($address));
        } catch (InvalidValue) {
            return [];
        }

        return array_values(
            array_map(
                static fn(DomainEntry $entry): string => $entry->label,
                array_filter($entries, static fn(DomainEntry $entry): bool => $entry->covers($url)),
            ),
        );
    }
}
