<?php

declare(strict_types=1);

namespace App\Actions\Domains;

use App\Models\Domain;
use App\Models\DomainFigure;
use App\Models\Study;
use GreaterReach\Core\Metrics\DomainFigures;
use GreaterReach\Core\Metrics\MetricSource;
use GreaterReach\Core\Metrics\SourceRanking;
use Illuminate\Support\Collection;

/** Chooses each domain's figures from its sources, in the rulebook's order. */
final class ChooseDomainFigures
{
    /** @param ?list<int> $domains ids; null for every domain that a source speaks of */
    public function execute(Study $study, ?array $domains = null): void
    {
        $said = self::bestFirst($study)->groupBy('domain_id');
        /** @var Domain $domain */
        foreach (
            Domain::query()
                ->where('study_id', $study->id)
                ->whereIn('id', $domains ?? $said->keys()->all())
                ->get() as $domain
        ) {
            $figures = $said->get($domain->id, new Collection());
            $chosen = DomainFigures::resolve(
                $figures->map(
                    static fn(DomainFigure $figure): DomainFigures => new DomainFigures(
                        $figure->authority,
                        $figure->referring_domains,
                        $figure->backlinks,
                    ),
                ),
            );
            $domain->update([
                'authority' => $chosen->authority,
                'referring_domains' => $chosen->referringDomains,
                'backlinks' => $chosen->backlinks,
                'metrics_date' => $figures->first()?->day,
            ]);
        }
    }

    /**
     * @return Collection<int, DomainFigure> all that is said about the study's domains, the source that is asked first before the others
     */
    public static function bestFirst(Study $study): Collection
    {
        /** @var Collection<int, DomainFigure> $figures */
        $figures = DomainFigure::query()
            ->where('study_id', $study->id)
            ->whereRaw('id IN (SELECT id FROM live_domain_figures)')
            ->get()
            ->toBase();
        $sources = array_values(
            $figures
                ->map(static fn(DomainFigure $figure): MetricSource => new MetricSource($figure->id, $figure->kind, $figure->day))
                ->all(),
        );
        $ranks = SourceRanking::rank($sources, $study->rulebook()->words('authority_sources'));

        return $figures->sortBy(static fn(DomainFigure $figure): int => $ranks[$figure->id])->values();
    }
}
