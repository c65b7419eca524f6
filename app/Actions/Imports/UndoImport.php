<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Actions\Domains\ChooseDomainFigures;
use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\Import;
use App\Models\Study;
use GreaterReach\Core\Intake\ImportKind;
use Illuminate\Support\Facades\DB;

/** Takes an import back: what it brought goes, and what it had replaced counts again. */
final readonly class UndoImport
{
    public function __construct(private DeleteImport $forget, private ChooseDomainFigures $choose)
    {
    }

    /** @throws UserError when figures about domains have been imported since */
    public function execute(Study $study, Import $import): void
    {
        DB::transaction(function () use ($study, $import): void {
            DB::table('studies')->where('id', $study->id)->lockForUpdate()->first();
            if ($import->kind === ImportKind::Domains) {
                $this->restoreDomains($study, $import);
            }
            $this->forget->execute($import);
            $this->choose->execute($study, array_map(intval(...), array_keys($import->before ?? [])));
            $study->touchData();
        });
    }

    private function restoreDomains(Study $study, Import $import): void
    {
        if (Import::query()->where('study_id', $study->id)->where('kind', ImportKind::Domains)->where('id', '>', $import->id)->exists()) {
            throw UserError::because('import', 'A newer domains file was imported since. Undo that one first.');
        }
        foreach ($import->before ?? [] as $id => $before) {
            $domain = Domain::query()->where('study_id', $study->id)->find((int) $id);
            if ($before === null) {
                $domain?->role === Domain::CANDIDATE ? $domain->delete() : null;
            } else {
                $domain?->update(['brand_terms' => $before['brand_terms']]);
            }
        }
    }
}
