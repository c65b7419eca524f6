<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Actions\Findings\FindingsQuery;
use App\Models\Study;
use App\Support\Tabular\Table;
use GreaterReach\Core\Findings\Finding;

/** Findings in a study, a row per finding. */
final readonly class FindingsExport
{
    private const HEADINGS = ['code', 'worth', 'finding', 'next', 'stage', 'show'];

    public function __construct(private FindingsQuery $read)
    {
    }

    public function table(Study $study): Table
    {
        return new Table(self::HEADINGS, array_map(
            static fn(Finding $one): array => [$one->code, $one->worth, $one->words, $one->next, $one->stage->value, $one->show],
            $this->read->execute($study),
        ));
    }
}
