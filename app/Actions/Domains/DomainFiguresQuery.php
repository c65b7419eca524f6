<?php

declare(strict_types=1);

namespace App\Actions\Domains;

use App\Models\Import;
use App\Models\Study;
use Illuminate\Support\Collection;

/**
 * What every source says about the domains of a study, side by side.
 *
 * @phpstan-type SourceFigures array{kind: string, day: string, file: ?string, authority: ?float, referring_domains: ?int}
 */
final class DomainFiguresQuery
{
    /** @return array<int, list<SourceFigures>> domain id → what is said of it, the source that is asked first before the others */
    public function execute(Study $study): array
    {
        $figures = ChooseDomainFigures::bestFirst($study);
        /** @var Collection<int, string> $files */
        $files = Import::query()
            ->whereIn('id', $figures->pluck('import_id')->filter()->all())
            ->pluck('file_name', 'id');
        $said = [];
        foreach ($figures as $figure) {
            $said[$figure->domain_id][] = [
                'kind' => $figure->kind,
                'day' => $figure->day,
                'file' => $files->get($figure->import_id),
                'authority' => $figure->authority,
                'referring_domains' => $figure->referring_domains,
            ];
        }

        return $said;
    }

    /**
     * @param list<int> $domains ids
     *
     * @return list<array{domain: int, said: list<SourceFigures>}> domains whose sources disagree about the authority
     */
    public function disputed(Study $study, array $domains): array
    {
        $said = array_intersect_key($this->execute($study), array_flip($domains));
        $disputed = array_filter(
            $said,
            static fn(array $sources): bool => \count(array_unique(array_filter(array_column($sources, 'authority'), is_float(...)))) > 1,
        );

        return array_map(
            static fn(int $domain, array $sources): array => ['domain' => $domain, 'said' => $sources],
            array_keys($disputed),
            array_values($disputed),
        );
    }
}
