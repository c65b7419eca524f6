<?php

declare(strict_types=1);

namespace App\Actions\Pulls;

use App\Actions\Imports\ImportFile;
use App\Actions\Imports\ImportOptions;
use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Snapshot;
use App\Support\Sources\RankingSource;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\SourcePage;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/**
 * Fills a study from a connected source: figures about the domains, their rankings, figures about all keywords found,
 * page one of the most searched, who links to whom, our own pages and our own performance. Everything is fetched first, page by
 * page, and set aside; then
 * it is imported in one go, so that a pull that breaks off keeps nothing half and goes on where it was when it is started
 * again.
 */
final readonly class PullStudy
{
    /** Keywords whose first page is asked for, by volume. */
    private const PAGE_ONE_KEYWORDS = 400;

    public function __construct(private Sources $sources, private ImportFile $import, private PublicSuffixList $suffixes)
    {
    }

    /**
     * @param \Closure(string, int, int): void $tell told what is being done, parts done, parts in all
     *
     * @return array{days: list<string>, rows: int, notes: list<string>}
     *
     * @throws SourceProblem
     */
    public function execute(PullOptions $order, \Closure $tell): array
    {
        $source = $this->sources->get($order->source);
        $market = SourceMarket::of($order->study);
        $folder = new PullFolder($order->key());
        $days = $this->days($order, $source, $market);
        $parts = $this->parts($order, $days);
        foreach ($parts as $number => $part) {
            $tell($part->title, $number, 2 * \count($parts));
            $this->fetch($part, $order, $source, $market, $folder, $parts);
        }
        if (
            array_filter(
                $parts,
                static fn(PullPart $part): bool => $part->kind === ImportKind::Rankings && !$folder->isEmpty($part->name),
            ) === []
        ) {
            $folder->forget();
            throw SourceProblem::nothing(
                $order->source,
                'rankings of '.implode(', ', array_map(static fn(Domain $domain): string => $domain->entry, $order->domains())),
            );
        }
        $kept = $this->keep($order, $parts, $folder, $tell);
        $folder->forget();

        return ['days' => $days, ...$kept];
    }

    /** @return list<string> the newest first */
    private function days(PullOptions $order, RankingSource $source, SourceMarket $market): array
    {
        $days = array_values(
            array_filter($source->days($market), static fn(string $day): bool => $order->date === null || $day <= $order->date),
        );

        return $days === []
            ? throw SourceProblem::nothing($order->source, 'rankings'.($order->date === null ? '' : ' on or before '.$order->date))
            : \array_slice($days, 0, $order->snapshots);
    }

    /**
     * @param list<string> $days
     *
     * @return list<PullPart>
     */
    private function parts(PullOptions $order, array $days): array
    {
        $parts = [new PullPart('domains', ImportKind::Domains, $order->source.': domain metrics', $days[0])];
        foreach (array_reverse($days) as $day) {
            foreach ($order->domains() as $domain) {
                $parts[] = new PullPart(
                    "rankings-{$domain->id}-{$day}",
                    ImportKind::Rankings,
                    "{$order->source}: rankings of {$domain->entry}",
                    $day,
                    $domain,
                );
            }
        }
        foreach ($order->domains() as $domain) {
            $parts[] = new PullPart(
                "paid-{$domain->id}",
                ImportKind::Rankings,
                "{$order->source}: paid rankings of {$domain->entry}",
                $days[0],
                $domain,
                Snapshot::PAID,
            );
        }
        foreach ($order->domains() as $domain) {
            $title = "{$order->source}: links to {$domain->entry}";
            $parts[] = new PullPart("links-{$domain->id}", ImportKind::Links, $title, $days[0], $domain);
        }
        $parts[] = new PullPart('keywords', ImportKind::Keywords, $order->source.': keyword metrics', $days[0]);
        $parts[] = new PullPart('results', ImportKind::Results, $order->source.': page one', $days[0]);

        return $order->domain === null || $order->domain->role === Domain::OWN
            ? [...$parts, ...self::ownParts($order->source, $days, $order->domains()[0])]
            : $parts;
    }

    /**
     * What is known of our domain alone.
     *
     * @param list<string> $days the newest first
     *
     * @return list<PullPart>
     */
    private static function ownParts(string $source, array $days, Domain $own): array
    {
        $measured = array_map(
            static fn(string $day): PullPart => new PullPart(
                "performance-{$day}",
                ImportKind::Performance,
                $source.': our performance data',
                $day,
                $own,
            ),
            array_reverse($days),
        );

        return [
            ...$measured,
            new PullPart('pages', ImportKind::Pages, $source.': our pages', $days[0], $own),
            new PullPart('page-links', ImportKind::PageLinks, $source.': links between our pages', $days[0], $own),
        ];
    }

    /** @param list<PullPart> $all */
    private function fetch(
        PullPart $part,
        PullOptions $order,
        RankingSource $source,
        SourceMarket $market,
        PullFolder $folder,
        array $all,
    ): void {
        if ($folder->has($part->name)) {
            return;
        }
        $host = $part->domain?->toEntry($this->suffixes)->host ?? '';
        $keywords = fn(): array => $part->kind === ImportKind::Results
            ? $this->mostSearched($folder)
            : $this->keywords($order, $folder, $all);
        match ($part->kind) {
            ImportKind::Domains => $folder->append($part->name, $this->figures($order, $source), null),
            ImportKind::Keywords, ImportKind::Results => $this->batches(
                $part,
                $folder,
                $keywords(),
                $source->mostKeywords(),
                static fn(array $keywords): array => $part->kind === ImportKind::Results
                    ? $source->results($market, $keywords, $part->day)
                    : $source->metrics($market, $keywords),
            ),
            ImportKind::Links, ImportKind::Pages, ImportKind::PageLinks, ImportKind::Rankings, ImportKind::Performance =>
                $this->pages($part, $folder, static fn(int $page): SourcePage => match ($part->kind) {
                    ImportKind::Links => $source->links($market, $host, $part->day, $page),
                    ImportKind::Pages => $source->pages($market, $host, $part->day, $page),
                    ImportKind::PageLinks => $source->pageLinks($market, $host, $part->day, $page),
                    ImportKind::Performance => $source->performance($market, $host, $part->day, $page),
                    default => $source->rankings($market, $host, $part->day, $part->channel, $page),
                }),
        };
    }

    /** @param \Closure(int): SourcePage $ask */
    private function pages(PullPart $part, PullFolder $folder, \Closure $ask): void
    {
        $page = $folder->nextPage($part->name);
        do {
            $answer = $ask($page);
            $folder->append($part->name, $answer->rows, $answer->next);
            $page = $answer->next;
        } while ($page !== null);
    }

    /**
     * @param list<string>                                        $keywords
     * @param \Closure(list<string>): list<array<string, mixed>> $ask
     */
    private function batches(PullPart $part, PullFolder $folder, array $keywords, int $size, \Closure $ask): void
    {
        $batches = array_chunk($keywords, max(1, $size));
        $this->pages($part, $folder, static function (int $page) use ($batches, $ask): SourcePage {
            /** @var list<array<string, string|int|float|null>> $rows */
            $rows = isset($batches[$page - 1]) ? $ask($batches[$page - 1]) : [];

            return new SourcePage($rows, $page < \count($batches) ? $page + 1 : null);
        });
    }

    /** @return list<array<string, mixed>> */
    private function figures(PullOptions $order, RankingSource $source): array
    {
        $figures = array_map(fn(Domain $domain): ?array => $source->domain($domain->toEntry($this->suffixes)->host), $order->domains());

        return array_values(array_filter($figures, static fn(?array $row): bool => $row !== null));
    }

    /**
     * All keywords of the rankings fetched and of the study's own lists.
     *
     * @param list<PullPart> $parts
     *
     * @return list<string>
     */
    private function keywords(PullOptions $order, PullFolder $folder, array $parts): array
    {
        $keywords = DB::table('metrics')->where('study_id', $order->study->id)->distinct()->pluck('study_id', 'keyword')->all();
        foreach ($parts as $part) {
            if ($part->kind === ImportKind::Rankings) {
                foreach ($folder->rows($part->name) as $row) {
                    $keywords[(string) $row['keyword']] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($keywords));
    }

    /** @return list<string> */
    private function mostSearched(PullFolder $folder): array
    {
        $volumes = [];
        foreach ($folder->rows('keywords') as $row) {
            $volumes[(string) $row['keyword']] = (int) $row['volume'];
        }
        uksort(
            $volumes,
            static fn(int|string $one, int|string $other): int => $volumes[$other] <=> $volumes[$one] ?:
            strcmp((string) $one, (string) $other),
        );

        return array_map(strval(...), \array_slice(array_keys($volumes), 0, self::PAGE_ONE_KEYWORDS));
    }

    /**
     * @param list<PullPart>                   $parts
     * @param \Closure(string, int, int): void $tell
     *
     * @return array{rows: int, notes: list<string>}
     */
    private function keep(PullOptions $order, array $parts, PullFolder $folder, \Closure $tell): array
    {
        return DB::transaction(function () use ($order, $parts, $folder, $tell): array {
            $rows = 0;
            $notes = [];
            foreach ($parts as $number => $part) {
                $tell($part->title, \count($parts) + $number, 2 * \count($parts));
                if (!$folder->isEmpty($part->name)) {
                    $outcome = $this->import->execute(
                        new ImportOptions(
                            $order->study,
                            $part->kind,
                            $folder->path($part->name),
                            $part->title,
                            $part->day,
                            $part->domain,
                            $part->channel,
                            userId: $order->userId,
                            origin: DomainFigure::PULLS,
                        ),
                    );
                    $rows += $outcome->kept;
                    $notes = [...$notes, ...$outcome->notes];
                }
            }

            return ['rows' => $rows, 'notes' => $notes];
        });
    }
}
