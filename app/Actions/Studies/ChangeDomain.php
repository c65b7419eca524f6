<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\PlanItem;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Keyword\KeywordKey;
use Illuminate\Support\Facades\DB;

/** Changes the brand terms of one domain, or throws a candidate away. */
final class ChangeDomain
{
    /** @param list<string> $terms beside the domain's own name */
    public function setBrandTerms(Study $study, Domain $domain, array $terms): void
    {
        $domain->update([
            'brand_terms' => array_values(
                array_unique(array_map(KeywordKey::of(...), array_filter($terms, static fn(string $term): bool => trim($term) !== ''))),
            ),
        ]);
        $study->touchData();
    }

    /** @throws UserError when it is compared, or still has rankings that would be lost */
    public function throwAway(Domain $domain): void
    {
        if ($domain->role !== Domain::CANDIDATE) {
            throw UserError::because('domain', 'Remove this domain from the comparison first. It then stays as a candidate.');
        }
        DB::transaction(static function () use ($domain): void {
            if (Snapshot::withSuperseded()->where('domain_id', $domain->id)->exists()) {
                throw UserError::because('domain', 'This domain has rankings. Undo their imports first.');
            }
            if (PlanItem::query()->where('domain_id', $domain->id)->exists()) {
                throw UserError::because(
                    'domain',
                    'This domain has a roadmap of its own. Compare from its side and remove the items first.',
                );
            }
            $domain->delete();
        });
    }
}
