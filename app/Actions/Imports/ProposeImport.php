<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Domain;
use App\Models\Study;
use App\Support\Tabular\TableFile;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\ColumnPlan;
use GreaterReach\Core\Intake\Field;
use GreaterReach\Core\Intake\FileDay;
use GreaterReach\Core\Intake\FileDomain;
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

    /**
     * @return array{proposal: array{kind: string, domain: string, date: string, channel: string, leave_out: bool, skip_bad_rows: bool},
     *     notes: list<string>} empty text where nothing tells; notes: what was read out of the name, in words
     */
    public function execute(Study $study, string $fileName, ?TableFile $table): array
    {
        $headers = $table?->headers() ?? [];
        $day = FileDay::in($fileName);
        $like = PreviousImportQuery::find($study, $fileName);
        $isLike = $like !== null && $like->hadHeadersOf($headers);
        $kind = $isLike ? $like->kind : ImportKind::guess($headers, $fileName);
        $channel = preg_match('/(?<![a-z])paid(?![a-z])/i', $fileName) === 1 ? 'paid' : 'organic';
        $isNamed = $isLike && $like->domain !== null;
        [$domain, $written] = $kind !== ImportKind::Rankings || $isNamed ? ['', ''] : $this->domain($study, $fileName, $table);
        $notes = [
            $day !== null && $day->isMonth ? sprintf('"%s" in its name is read as %s.', $day->written, $day->day) : '',
            $written !== '' ? sprintf('"%s" in its name is read as %s.', $written, $domain) : '',
            $isLike ? sprintf('Same settings as "%s".', $like->fileName) : '',
        ];

        return [
            'proposal' => [
                'kind' => $kind->value,
                'domain' => $kind === ImportKind::Rankings && $isNamed ? (string) $like->domain : $domain,
                'date' => $day->day ?? '',
                'channel' => ($isLike ? $like->channel : null) ?? $channel,
                'leave_out' => SkipFile::isLeftOut($study, $fileName),
                'skip_bad_rows' => $isLike && $like->skippedBadRows,
            ],
            'notes' => array_values(array_filter($notes, static fn(string $note): bool => $note !== '')),
        ];
    }

    /** @return array{string, string} the domain, and what in its name tells it, where that needs telling; empty where nothing does */
    private function domain(Study $study, string $fileName, ?TableFile $table): array
    {
        $ours = $study->ownDomain()->id;
        $domains = $study->domains->sortBy(static fn(Domain $domain): bool => $domain->id !== $ours);
        $entries = array_map(static fn(Domain $domain): string => $domain->entry, array_values($domains->all()));
        $domain = FileDomain::in($fileName, $entries)->domain ?? ($table === null ? '' : $this->commonestDomain($study, $table));
        $short = $domain === '' && ($table === null || ! self::namesItself($table)) ? FileDomain::inShort($fileName, $entries) : null;

        return [$short->domain ?? $domain, $short->written ?? ''];
    }

    /** Whether the rows say themselves whose they are. */
    private static function namesItself(TableFile $table): bool
    {
        try {
            return ColumnPlan::match(ImportKind::Rankings, $table->headers())->has('domain');
        } catch (FileProblem) {
            return false;
        }
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
