<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Actions\Domains\ChooseDomainFigures;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;

/** Which loader knows which kind of import, and which tables they fill. A kind that is missing here is told by the static analysis. */
final readonly class Loaders
{
    public function __construct(private PublicSuffixList $suffixes, private ChooseDomainFigures $choose)
    {
    }

    public function of(ImportOptions $order): Loader
    {
        $domains = new DomainFinder($order->study, $this->suffixes);

        return match ($order->kind) {
            ImportKind::Rankings => new RankingsLoader($order, $domains),
            ImportKind::Keywords => new KeywordsLoader($order),
            ImportKind::Results => new ResultsLoader($order),
            ImportKind::Performance => new PerformanceLoader($order),
            ImportKind::Links => new LinksLoader($order, $this->suffixes),
            ImportKind::Pages => new PagesLoader($order),
            ImportKind::PageLinks => new PageLinksLoader($order),
            ImportKind::Domains => new DomainsLoader($order, $domains, $this->suffixes, $this->choose),
        };
    }

    /** @return list<string> tables whose rows bear the number of their import, and go with it */
    public static function tables(): array
    {
        return array_merge(...array_map(static fn(ImportKind $kind): array => self::classOf($kind)::tables(), ImportKind::cases()));
    }

    /** @return class-string<Loader> */
    private static function classOf(ImportKind $kind): string
    {
        return match ($kind) {
            ImportKind::Rankings => RankingsLoader::class,
            ImportKind::Keywords => KeywordsLoader::class,
            ImportKind::Results => ResultsLoader::class,
            ImportKind::Performance => PerformanceLoader::class,
            ImportKind::Domains => DomainsLoader::class,
            ImportKind::Links => LinksLoader::class,
            ImportKind::Pages => PagesLoader::class,
            ImportKind::PageLinks => PageLinksLoader::class,
        };
    }
}
