<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Counted;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\BadCell;
use GreaterReach\Core\Site\DomainEntry;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Support\Facades\DB;

/** Which sites link to which pages, each site by its registrable domain. */
final class LinksLoader implements Loader
{
    public function __construct(private readonly ImportOptions $order, private readonly PublicSuffixList $suffixes)
    {
    }

    public static function tables(): array
    {
        return ['links'];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement('CREATE TEMPORARY TABLE staged (LIKE links) ON COMMIT DROP');
        DB::statement('ALTER TABLE staged ALTER study_id DROP NOT NULL, ALTER import_id DROP NOT NULL');
    }

    public function columns(): array
    {
        return ['domain', 'target_url', 'authority', 'anchor', 'day'];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var array{linking_domain: string, target_url: string, authority?: ?float, anchor?: ?string, date?: ?string} $values */
        try {
            $domain = DomainEntry::of($values['linking_domain'], $this->suffixes)->registrableDomain;
        } catch (InvalidValue $problem) {
            return new BadCell($line, 'linking_domain', $values['linking_domain'], $problem->reason.'.');
        }

        return [
            $domain,
            $values['target_url'],
            $values['authority'] ?? null,
            $values['anchor'] ?? null,
            $values['date'] ?? $this->order->day,
        ];
    }

    public function settle(Import $import): array
    {
        $columns = implode(', ', $this->columns());
        $kept = DB::affectingStatement(
            "INSERT INTO links (study_id, import_id, {$columns}) SELECT ?::bigint, ?::bigint, {$columns} FROM staged",
            [$import->study_id, $import->id],
        );

        return [sprintf('%s %s kept.', Counted::of($kept, 'link'), $kept === 1 ? 'was' : 'were')];
    }

    public function changes(Import $import): ?ChangeCounts
    {
        return null;
    }
}
